package dev.yarbel.core.session;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** What was the best single with each set-up of chains or bands, as it stood on the bar: a record of its own kind. */
public final class OwnBests {

    private OwnBests() {}

    /**
     * The best of each set-up of a lift.
     *
     * @param curve reads sets of several repetitions; twelve in all at most
     */
    public static Map<AccommodatingResistance, Mass> of(Collection<Best.PastSet> past, Lift lift, RepCurve curve) {
        Map<AccommodatingResistance, Mass> bests = new HashMap<>();
        for (Best.PastSet each : past) {
            boolean counts = each.set().lift().equals(lift)
                    && each.kind().manners().isEmpty()
                    && each.kind().tempo().isEmpty()
                    && each.set().details().helped() == 0;
            if (counts) {
                each.kind().changing().ifPresent(changing -> reps(each.set())
                        .ifPresent(reps ->
                                bests.merge(changing, curve.max(each.set().load(), reps), Mass::max)));
            }
        }
        return bests;
    }

    private static Optional<RepsInAll> reps(LiftedSet set) {
        return set.effort()
                .rating()
                .filter(rpe -> rpe.estimates() && set.load().isPositive())
                .map(rpe -> RepsInAll.of(set.reps(), rpe))
                .filter(RepsInAll::estimates);
    }
}
