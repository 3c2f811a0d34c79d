package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * A max the coach set down, and the day from which it held: where the estimate starts.
 *
 * <p>Sessions before that day say nothing that the max did not say better.
 *
 * @param doubt one standard deviation, as a share of it: 4 % for a single that was lifted, 6 % for several repetitions to
 *     the limit, 8 % for somebody's guess (starting values of ours)
 */
public record StartingMax(Mass max, LocalDate since, Percent doubt) {

    private static final Percent LIFTED = Percent.of(4);
    private static final Percent READ = Percent.of(6);
    private static final Percent GUESSED = Percent.of(8);

    /** A single that was lifted. */
    public StartingMax(Mass max, LocalDate since) {
        this(max, since, LIFTED);
    }

    public StartingMax {
        if (!max.isPositive()) {
            throw new IllegalArgumentException("a max is more than nothing");
        }
    }

    /**
     * Where the estimate of a lift starts: at the newest max lifted in a contest or test, unless that was stale when a rep max
     * of few enough repetitions or a guess was set down later: then at the newest of these. A goal starts nothing.
     *
     * @param maxes what was set down for the lift, in any order
     * @param curve reads the rep maxes
     */
    public static Optional<StartingMax> from(List<RecordedMax> maxes, RepCurve curve) {
        Optional<RecordedMax> lifted = newest(maxes, max -> max.kind().isLifted());
        Optional<RecordedMax> said = newest(maxes, StartingMax::isGuess);
        boolean fresher = said.filter(max ->
                        lifted.filter(single -> !single.isStale(max.on())).isEmpty())
                .isPresent();
        return (fresher ? said : lifted).map(max -> new StartingMax(max.max(curve), max.on(), doubt(max)));
    }

    private static Percent doubt(RecordedMax max) {
        return max.kind().isLifted() ? LIFTED : max.kind() == RecordedMax.Kind.REP_MAX ? READ : GUESSED;
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
