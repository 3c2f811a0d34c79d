package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.measure.Mass;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * A max the coach set down, and the day from which it held: where the estimate starts.
 *
 * <p>Sessions before that day say nothing that the max did not say better.
 */
public record StartingMax(Mass max, LocalDate since) {

    public StartingMax {
        if (!max.isPositive()) {
            throw new IllegalArgumentException("a max is more than nothing");
        }
    }

    /**
     * Where the estimate of a lift starts: at the newest max lifted in a contest or test; else at the newest guess or rep
     * max of few enough repetitions. A goal starts nothing.
     *
     * @param maxes what was set down for the lift, in any order
     * @param curve reads the rep maxes
     */
    public static Optional<StartingMax> from(List<RecordedMax> maxes, RepCurve curve) {
        return newest(maxes, max -> max.kind().isLifted())
                .or(() -> newest(maxes, StartingMax::isGuess))
                .map(max -> new StartingMax(max.max(curve), max.on()));
    }

    private static boolean isGuess(RecordedMax max) {
        return max.kind() == RecordedMax.Kind.ESTIMATED
                || max.kind() == RecordedMax.Kind.REP_MAX
                        && RepsInAll.toTheLimit(max.reps()).estimates();
    }

    /** Of those of the same day, the one set down last. */
    private static Optional<RecordedMax> newest(List<RecordedMax> maxes, Predicate<RecordedMax> which) {
        return maxes.stream().filter(which).reduce((a, b) -> b.on().isBefore(a.on()) ? a : b);
    }
}
