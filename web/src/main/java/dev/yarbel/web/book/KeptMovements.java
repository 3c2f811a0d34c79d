package dev.yarbel.web.book;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** How a session moved the maxes of its lifts, as it is kept beside that session: its sets by their place in it. */
@Component
class KeptMovements {

    private final JsonMapper json;

    KeptMovements(JsonMapper json) {
        this.json = json;
    }

    /** Figures in kg. */
    private record Moved(String before, String after, String spread, List<Part> sets) {}

    /**
     * A set's part in it.
     *
     * @param set its place in the session, from 0
     * @param max in kg
     * @param weight in percent
     * @param moved in kg
     */
    private record Part(int set, String max, String weight, String moved) {}

    String write(Map<Lift, MaxEstimate.Movement> movements, LiftedSession session) {
        Map<String, Moved> kept = new LinkedHashMap<>();
        movements.forEach((lift, movement) -> kept.put(
                lift.key(),
                new Moved(
                        kg(movement.before()),
                        kg(movement.after()),
                        kg(movement.spread()),
                        parts(movement.contributions(), session.sets()))));
        return json.writeValueAsString(kept);
    }

    /** Parts stand in the order of the sets they are of; two sets may be alike. */
    private static List<Part> parts(List<MaxEstimate.Contribution> contributions, List<LiftedSet> sets) {
        List<Part> parts = new ArrayList<>();
        int at = 0;
        for (MaxEstimate.Contribution part : contributions) {
            while (!isSame(part.set(), sets.get(at))) {
                at++;
            }
            parts.add(new Part(at++, kg(part.max()), part.weight().figure().toPlainString(), kg(part.moved())));
        }
        return parts;
    }

    /** But for what its speed rates, which is found along the way. */
    private static boolean isSame(LiftedSet told, LiftedSet set) {
        return told.lift().equals(set.lift())
                && told.load().equals(set.load())
                && told.reps() == set.reps()
                && told.effort().equals(set.effort())
                && told.details().speed().equals(set.details().speed())
                && told.details().asked().equals(set.details().asked());
    }

    Map<Lift, MaxEstimate.Movement> read(String text, LiftedSession session) {
        Map<Lift, MaxEstimate.Movement> movements = new LinkedHashMap<>();
        json.readValue(text, new TypeReference<Map<String, Moved>>() {})
                .forEach((lift, moved) -> movements.put(
                        new Lift(lift),
                        new MaxEstimate.Movement(
                                session.date(),
                                mass(moved.before),
                                mass(moved.after),
                                mass(moved.spread),
                                moved.sets.stream()
                                        // a set may have been taken out since
                                        .filter(part ->
                                                part.set < session.sets().size())
                                        .map(part -> new MaxEstimate.Contribution(
                                                session.sets().get(part.set),
                                                mass(part.max),
                                                Percent.of(part.weight),
                                                mass(part.moved)))
                                        .toList())));
        return movements;
    }

    private static String kg(Mass mass) {
        return mass.in(MassUnit.KG).toPlainString();
    }

    private static Mass mass(String kg) {
        return Mass.of(kg, MassUnit.KG);
    }
}
