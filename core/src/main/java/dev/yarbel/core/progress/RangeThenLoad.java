package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.progress.SetsMade.Verdict;
import dev.yarbel.core.progress.Step.Answer;
import dev.yarbel.core.progress.Step.Kind;
import dev.yarbel.core.progress.Step.Reason;

/**
 * Rep range, then load: when every set reaches the top of the range, a step is added and the bottom is where it starts
 * again (common practice, no source). A session that is still ahead is taken to make one repetition more in each set than
 * the one before (a starting value of ours). Sets below the bottom of the range are repeated.
 */
enum RangeThenLoad implements Law {
    LAW;

    @Override
    public Step after(Run run, Result result, Mass step) {
        Work.Straight range = (Work.Straight) run.work();
        SetsMade top = SetsMade.of(run, result, range.sets(), range.most());
        Mass load = top.load();
        if (top.verdict() == Verdict.MADE) {
            return Step.of(Answer.ADD, load, run.go(load.plus(step)), top.reason());
        }
        SetsMade bottom = SetsMade.of(run, result, range.sets(), range.reps());
        if (bottom.verdict() == Verdict.MISSED) {
            return Step.of(Answer.REPEAT, load, run.missed(load), bottom.reason());
        }
        int fewest = result.fewestReps(range.sets());
        return Step.of(
                Answer.HOLD,
                load,
                run.reached(load, Math.max(0, fewest - range.reps()) + 1),
                bottom.verdict() == Verdict.OPEN
                        ? bottom.reason()
                        : new Reason(Kind.WITHIN_RANGE, fewest, range.most()));
    }

    @Override
    public Result expected(Run run, boolean beyond) {
        Work.Straight range = (Work.Straight) run.work();
        int reps = Math.min(range.most(), range.reps() + run.reached());
        return Result.made(range, run.load(), beyond ? Math.min(reps, range.most() - 1) : reps);
    }
}
