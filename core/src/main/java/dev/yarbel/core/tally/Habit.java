package dev.yarbel.core.tally;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.session.Resolver;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What a lifter is used to: hard sets a week and family of lifts over the last eight weeks, a squat or pull weighing one
 * and a half. Weeks without training count as what they were.
 *
 * @param halvesAWeek for each root lift, hard sets a week in halves
 * @param weeks how many weeks of log there are, up to eight
 */
public record Habit(Map<Lift, Double> halvesAWeek, int weeks) {

    public static final int WEEKS = 8;

    public Habit {
        halvesAWeek = Map.copyOf(halvesAWeek);
    }

    /** What the sessions of the eight weeks before a day come to. */
    public static Habit of(List<LiftedSession> sessions, LocalDate before, Resolver resolver, Catalogue catalogue) {
        LocalDate from = before.minusWeeks(WEEKS);
        List<LiftedSession> counting = sessions.stream()
                .filter(session ->
                        session.date().isBefore(before) && !session.date().isBefore(from))
                .toList();
        if (counting.isEmpty()) {
            return new Habit(Map.of(), 0);
        }
        LocalDate first = counting.stream()
                .map(LiftedSession::date)
                .min(LocalDate::compareTo)
                .orElseThrow();
        int weeks = (int) Math.min(WEEKS, ChronoUnit.DAYS.between(first, before) / 7 + 1);
        Map<Lift, Integer> halves = new HashMap<>();
        for (LiftedSession session : counting) {
            session.sets().stream()
                    .filter(set -> HardSets.isHard(set, resolver.numbers(set.lift())))
                    .forEach(set -> {
                        Lift root = catalogue.root(set.lift());
                        halves.merge(root, HardSets.halves(root), Integer::sum);
                    });
        }
        Map<Lift, Double> aWeek = new HashMap<>();
        halves.forEach((lift, sum) -> aWeek.put(lift, (double) sum / weeks));
        return new Habit(aWeek, weeks);
    }

    /** Hard sets a week of a root lift; none where it was not trained. */
    public double hardSets(Lift root) {
        return halvesAWeek.getOrDefault(root, 0.0) / 2;
    }
}
