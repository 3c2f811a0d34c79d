package dev.yarbel.core.rehearsal;

import dev.yarbel.core.lift.Lift;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/**
 * Two rehearsals held beside each other, lifter by lifter: the same draws of the same seed are the same lifters (common random numbers, a textbook way to make
 * a difference surer than the two figures it is of), though their days differ from the first day on that the plans do. How sure a difference is stands
 * in how many of them it shows. It says nothing of which plan makes stronger: growth is taken to be the same in both.
 *
 * @param times how many lifters
 * @param missed sets that a lifter misses
 * @param ready for each family of lifts of both plans what its last day may find
 */
public record Compared(int times, Difference missed, Map<Lift, Difference> ready) {

    /** Less than this apart, as a share of a max, is the same; ours. */
    private static final double SAME = 0.005;

    /**
     * How a figure differs.
     *
     * @param middle what the second has more of, half of the lifters above it and half below
     * @param more the share of lifters for whom the second has more, 0 to 1
     * @param less the same for whom it has less; what is left has about the same
     */
    public record Difference(double middle, double more, double less) {}

    public Compared {
        ready = Map.copyOf(ready);
    }

    /**
     * What the second has more or less of than the first.
     *
     * @throws IllegalArgumentException when they were not rehearsed with the same lifters
     */
    public static Compared of(Rehearsal first, Rehearsal second) {
        if (first.lifters().size() != second.lifters().size()) {
            throw new IllegalArgumentException("the same lifters");
        }
        Map<Lift, Difference> ready = new LinkedHashMap<>();
        for (MaxOutlook max : first.maxes()) {
            Lift lift = max.lift();
            if (second.maxes().stream().anyMatch(other -> other.lift().equals(lift))) {
                ready.put(
                        lift,
                        difference(
                                first.lifters(),
                                second.lifters(),
                                lifter -> lifter.ready().get(lift),
                                SAME * max.now().middle()));
            }
        }
        return new Compared(
                first.lifters().size(), difference(first.lifters(), second.lifters(), OneLifter::missed, 0.5), ready);
    }

    private static Difference difference(
            List<OneLifter> first, List<OneLifter> second, ToDoubleFunction<OneLifter> figure, double same) {
        double[] apart = IntStream.range(0, first.size())
                .mapToDouble(at -> figure.applyAsDouble(second.get(at)) - figure.applyAsDouble(first.get(at)))
                .toArray();
        return new Difference(Likely.of(apart).middle(), share(apart, 1, same), share(apart, -1, same));
    }

    private static double share(double[] apart, int sign, double same) {
        double count = 0;
        for (double each : apart) {
            count += sign * each > same ? 1 : 0;
        }
        return count / apart.length;
    }
}
