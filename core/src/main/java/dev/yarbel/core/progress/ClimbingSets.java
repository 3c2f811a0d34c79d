package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.progress.Step.Answer;
import dev.yarbel.core.progress.Step.Kind;
import dev.yarbel.core.progress.Step.Reason;

/**
 * Climbing sets: the last set of the climb counts, and the next climb is laid out to end a step above it. The rating ends
 * it on the day, wherever that is (common practice, no source).
 */
enum ClimbingSets implements Law {
    LAW;

    @Override
    public Step after(Run run, Result result, Mass step) {
        return result.sets().stream()
                .filter(set -> set.reps() >= run.work().reps())
                .map(Result.Done::load)
                .max(Mass::compareTo)
                .map(end -> Step.of(
                        step.isZero() ? Answer.HOLD : Answer.ADD, end, run.go(end.plus(step)), Reason.of(Kind.MADE)))
                .orElseGet(() ->
                        Step.of(Answer.REPEAT, run.load(), run.missed(run.load()), new Reason(Kind.MISSED, 0, 1)));
    }

    @Override
    public Result expected(Run run, boolean beyond) {
        return Result.made(run.work(), run.load(), run.work().reps());
    }
}
