package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSet;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A lifter who calls nearly everything the same, though the sets were not alike: such ratings say little, and percentages steer better
 * (common practice, no source). Whoever was asked for an 8 and lifted an 8 each time is none of these: their sets speak for the same max.
 *
 * @param rating what they call it
 * @param times how often
 * @param sets of so many that were rated
 */
public record SameRating(Rpe rating, int times, int sets) {

    /** Starting values of ours. */
    private static final int LEAST_SETS = 12;

    private static final double NEARLY_ALL = 0.75;
    /** About a repetition and a half either way, as a share of the max. */
    private static final double NOT_ALIKE = 0.045;

    /**
     * Of the rated sets of one lift; empty where ratings differ, or the sets were alike, or there are too few.
     *
     * @param curve reads what max each set speaks for as it was rated
     */
    public static Optional<SameRating> of(Collection<LiftedSet> lifted, RepCurve curve) {
        List<LiftedSet> rated = lifted.stream()
                .filter(set -> set.repsThatEstimate().isPresent()
                        && set.effort().rating().isPresent()
                        && !set.provesTheLimit())
                .toList();
        if (rated.size() < LEAST_SETS) {
            return Optional.empty();
        }
        Map<Rpe, Long> counts = rated.stream()
                .collect(Collectors.groupingBy(set -> set.effort().rating().orElseThrow(), Collectors.counting()));
        Map.Entry<Rpe, Long> favourite =
                counts.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow();
        double[] maxes = rated.stream()
                .mapToDouble(set -> Math.log(curve.max(
                                set.load(),
                                RepsInAll.of(set.reps(), set.effort().rating().orElseThrow()))
                        .in(MassUnit.KG)
                        .doubleValue()))
                .toArray();
        boolean same = favourite.getValue() >= NEARLY_ALL * rated.size();
        return same && spread(maxes) > NOT_ALIKE
                ? Optional.of(
                        new SameRating(favourite.getKey(), favourite.getValue().intValue(), rated.size()))
                : Optional.empty();
    }

    private static double spread(double[] figures) {
        double mean = Arrays.stream(figures).average().orElseThrow();
        double squares = Arrays.stream(figures)
                .map(figure -> (figure - mean) * (figure - mean))
                .sum();
        return Math.sqrt(squares / (figures.length - 1));
    }
}
