package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.progress.SetsMade.Verdict;
import dev.yarbel.core.progress.Step.Answer;
import dev.yarbel.core.progress.Step.Kind;
import dev.yarbel.core.progress.Step.Reason;

/**
 * Steady add: the same sets and repetitions, a step more each session. Missed repetitions: the same again; missed again:
 * 10 % off and build up anew; after two such resets another start or another school. Ten repetitions and more in a plus
 * set of five, twice what was asked in longer ones, earn a double step (common practice, no source; the number of resets
 * is ours). Presses that alternate are each a run of their own.
 */
enum SteadyAdd implements Law {
    LAW;

    static final Percent KEPT = Percent.of(90);
    static final int REPS_FOR_A_DOUBLE_STEP = 10;
    private static final int MOST_RESETS = 2;

    @Override
    public Step after(Run run, Result result, Mass step) {
        SetsMade made = SetsMade.of(run, result);
        Mass load = made.load();
        if (made.verdict() == Verdict.OPEN) {
            return Step.of(Answer.HOLD, load, run.held(load), made.reason());
        }
        if (made.verdict() == Verdict.MADE) {
            int plus = plusReps(run.work(), result);
            return plus >= Math.max(REPS_FOR_A_DOUBLE_STEP, 2 * run.work().reps())
                    ? Step.of(
                            Answer.ADD_DOUBLE,
                            load,
                            run.go(load.plus(step.times(2))),
                            new Reason(Kind.PLUS_SET, plus, run.work().reps()))
                    : Step.of(Answer.ADD, load, run.go(load.plus(step)), made.reason());
        }
        if (run.misses() == 0) {
            return Step.of(Answer.REPEAT, load, run.missed(load), made.reason());
        }
        Reason again = new Reason(Kind.MISSED_AGAIN, run.misses() + 1, 0);
        Mass less = load.times(KEPT);
        return run.resets() < MOST_RESETS
                ? Step.of(Answer.RESET, load, run.reset(less), again, made.reason())
                : Step.of(
                        Answer.WALL,
                        load,
                        Run.start(run.work(), less),
                        new Reason(Kind.RESETS, run.resets(), 0),
                        again,
                        made.reason());
    }

    private static int plusReps(Work work, Result result) {
        return work.straight().flatMap(Work.Straight::plus).isPresent()
                ? result.last().reps()
                : 0;
    }
}
