package dev.yarbel.core.adjust;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.ResolvedLoad;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a decision would change on a day that is planned: what stands there before and after.
 *
 * @param letter of the slot
 * @param before empty for what is new
 * @param after empty for what is taken out
 */
public record LoadChange(
        LocalDate date, int day, int week, String letter, Optional<Planned> before, Optional<Planned> after) {

    /**
     * A part of a slot's dose and what it comes to.
     *
     * @param load empty where nobody can say it
     */
    public record Planned(Lift lift, Part part, Optional<Mass> load) {}

    private record Place(String letter, int firstSet) {}

    /**
     * Everything of a plan still ahead that comes out differently, in order of dates: of the lift decided on, of variations that
     * take their numbers from it, and of every session that goes on from one of these.
     *
     * @param other the block after the decision: its days are the same, its weeks may be more or fewer
     * @param then what it comes to
     */
    static List<LoadChange> between(PlanAhead plan, Block other, Projection then) {
        List<LoadChange> changes = new ArrayList<>();
        Block longer = other.weeks() > plan.block().weeks() ? other : plan.block();
        for (PlanAhead.DayAhead ahead : plan.daysAhead(longer)) {
            Map<Place, Planned> before =
                    ahead.week() < plan.block().weeks() ? planned(plan.projection(), ahead) : Map.of();
            Map<Place, Planned> after = ahead.week() < other.weeks() ? planned(then, ahead) : Map.of();
            Set<Place> places = new LinkedHashSet<>(before.keySet());
            places.addAll(after.keySet());
            for (Place place : places) {
                Optional<Planned> old = Optional.ofNullable(before.get(place));
                Optional<Planned> changed = Optional.ofNullable(after.get(place));
                if (!old.equals(changed)) {
                    changes.add(new LoadChange(ahead.date(), ahead.day(), ahead.week(), place.letter(), old, changed));
                }
            }
        }
        return changes;
    }

    private static Map<Place, Planned> planned(Projection projection, PlanAhead.DayAhead day) {
        Map<Place, Planned> planned = new LinkedHashMap<>();
        List<PrescribedSets> asked = projection.prescriptions(day.day(), day.week());
        List<ResolvedLoad> loads = projection.loads(day.day(), day.week());
        for (int i = 0; i < asked.size(); i++) {
            PrescribedSets sets = asked.get(i);
            planned.put(
                    new Place(sets.letter(), sets.firstSet()),
                    new Planned(sets.lift(), sets.part(), loads.get(i).load()));
        }
        return planned;
    }
}
