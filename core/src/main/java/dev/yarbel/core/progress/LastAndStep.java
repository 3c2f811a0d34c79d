package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.progress.SetsMade.Verdict;
import dev.yarbel.core.progress.Step.Answer;

/** A step more when it was made, else the same again until it is; what to do about a miss is for the coach. */
enum LastAndStep implements Law {
    LAW;

    @Override
    public Step after(Run run, Result result, Mass step) {
        return orRepeat(run, SetsMade.of(run, result), step);
    }

    static Step orRepeat(Run run, SetsMade made, Mass step) {
        Mass load = made.load();
        if (made.verdict() == Verdict.MADE) {
            return Step.of(step.isZero() ? Answer.HOLD : Answer.ADD, load, run.go(load.plus(step)), made.reason());
        }
        return made.verdict() == Verdict.OPEN
                ? Step.of(Answer.HOLD, load, run.held(load), made.reason())
                : Step.of(Answer.REPEAT, load, run.missed(load), made.reason());
    }
}
