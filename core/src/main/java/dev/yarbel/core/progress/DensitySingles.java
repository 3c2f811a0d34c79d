package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.progress.Step.Answer;
import dev.yarbel.core.progress.Step.Kind;
import dev.yarbel.core.progress.Step.Reason;

/**
 * Density singles: the load stays until the whole goal is made in the time, then it goes up (common practice, no source).
 * Fewer than the goal are no failure: nine today and ten next time is how it is meant.
 */
enum DensitySingles implements Law {
    LAW;

    @Override
    public Step after(Run run, Result result, Mass step) {
        int goal = run.work().sets();
        Mass load = SetsMade.of(run, result).load();
        int made = result.full(run.work().reps(), load).size();
        return made >= goal
                ? Step.of(Answer.ADD, load, run.go(load.plus(step)), new Reason(Kind.MADE, made, goal))
                : Step.of(Answer.HOLD, load, run.held(load), new Reason(Kind.SHORT_OF_GOAL, made, goal));
    }
}
