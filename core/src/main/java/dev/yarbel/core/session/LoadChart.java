package dev.yarbel.core.session;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Dose;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What a lifter should have on the bar for so many repetitions with so many left, as a table to carry along: a lift's own
 * estimate and rep curve, made loadable in the gym at hand. A coach's habit, common practice without a source; the figures
 * are those that a dose with the same repetitions and rating comes to.
 *
 * @param max the estimate it hangs on
 * @param rows by repetitions, fewest first
 */
public record LoadChart(Lift lift, Mass max, List<Row> rows) {

    /** Repetitions left, the columns. */
    public static final List<Integer> LEFT = List.of(0, 1, 2, 3, 4);

    /** The most repetitions shown; beyond them rep curves part. */
    public static final int MOST_REPS = 10;

    public LoadChart {
        rows = List.copyOf(rows);
    }

    /**
     * One number of repetitions.
     *
     * @param loads one for each of {@link LoadChart#LEFT}; empty where the gym cannot make it
     */
    public record Row(int reps, List<Optional<Mass>> loads) {

        public Row {
            loads = List.copyOf(loads);
        }
    }

    /** The chart of a lift; empty when nothing is estimated for it or the gym can make none of its loads. */
    public static Optional<LoadChart> of(Lift lift, Resolver resolver) {
        List<Row> rows = IntStream.rangeClosed(1, MOST_REPS)
                .mapToObj(reps -> new Row(
                        reps,
                        LEFT.stream()
                                .map(left -> load(lift, reps, left, resolver))
                                .toList()))
                .toList();
        boolean says = rows.stream().flatMap(row -> row.loads().stream()).anyMatch(Optional::isPresent);
        return resolver.numbers(lift).estimate().filter(max -> says).map(max -> new LoadChart(lift, max, rows));
    }

    private static Optional<Mass> load(Lift lift, int reps, int left, Resolver resolver) {
        Dose dose = Dose.parse("1x" + reps + " @" + Rpe.withHalvesLeft(2 * left));
        return resolver.resolve(List.of(new PrescribedSets("A", lift, dose)))
                .get(0)
                .known()
                .map(ResolvedLoad.Known::fit)
                .filter(fit -> fit.limit() == Fit.Limit.NONE)
                .map(Fit::load);
    }
}
