package dev.yarbel.core.weekly;

import dev.yarbel.core.adjust.SeenSession;
import dev.yarbel.core.adjust.SeenSet;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.session.LiftNumbers;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A lift in a stretch of training.
 *
 * @param sets work sets
 * @param best the heaviest that was made, of those alike the one with more repetitions; empty where none was, or none had a load that is beyond
 *     doubt
 * @param doubtful sets perhaps written in the other unit
 * @param rated top sets with a rating beside one that was asked for
 * @param over those a point or more over their target
 * @param under those a point or more under it
 * @param missed sets missed, whatever for
 * @param estimate as it stood at the end of it; empty where nothing was known then
 * @param moved how far it moved meanwhile; empty where nothing was known before
 */
public record LiftSpan(
        Lift lift,
        int sets,
        Optional<SeenSet> best,
        int doubtful,
        int rated,
        int over,
        int under,
        int missed,
        Optional<Mass> estimate,
        Optional<Mass> moved) {

    private static final int POINT = 2;

    static LiftSpan of(
            Lift lift,
            LocalDate first,
            LocalDate last,
            List<SeenSession> sessions,
            LiftNumbers numbers,
            Optional<MaxEstimate> estimate) {
        List<SeenSet> work = sessions.stream()
                .flatMap(session -> session.work(lift).stream())
                .toList();
        List<Integer> ratings =
                work.stream().flatMap(set -> set.halvesOver(numbers).stream()).toList();
        Optional<Mass> before = estimate.flatMap(known -> known.lastMovement(first.minusDays(1)))
                .map(MaxEstimate.Movement::after);
        Optional<Mass> after =
                estimate.flatMap(known -> known.lastMovement(last)).map(MaxEstimate.Movement::after);
        return new LiftSpan(
                lift,
                work.size(),
                work.stream()
                        .filter(set -> set.set().made() && set.set().load().isPositive() && !set.isPerhapsInOtherUnit())
                        .max(Comparator.<SeenSet, Mass>comparing(
                                        set -> set.set().load())
                                .thenComparing(set -> set.set().reps())),
                (int) work.stream().filter(SeenSet::isPerhapsInOtherUnit).count(),
                ratings.size(),
                (int) ratings.stream().filter(halves -> halves >= POINT).count(),
                (int) ratings.stream().filter(halves -> halves <= -POINT).count(),
                (int) work.stream().filter(set -> !set.set().made()).count(),
                after,
                before.flatMap(old -> after.map(now -> now.minus(old))));
    }

    /** Top sets on their target. */
    public int onTarget() {
        return rated - over - under;
    }
}
