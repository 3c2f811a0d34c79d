package dev.yarbel.core.weekly;

import dev.yarbel.core.adjust.SeenSession;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.PrescribedSets;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * A stretch of training, a week or a block: what was asked for beside what was done.
 *
 * @param first its first day
 * @param last its last day
 * @param notDone the days on which the plan asked for a session and nothing was lifted, in order
 * @param sessions what was finished, in order
 * @param setsAsked the work sets that the finished sessions were asked for, preparation left out
 * @param setsDone the work sets that were done of what was asked for
 * @param lifts each lift that was trained, in the order in which it first was
 * @param pain where it hurt, in the lifter's words, once each
 */
public record SpanSeen(
        LocalDate first,
        LocalDate last,
        List<LocalDate> notDone,
        List<SeenSession> sessions,
        int setsAsked,
        int setsDone,
        List<LiftSpan> lifts,
        List<String> pain) {

    private static final int DAYS = 7;

    public SpanSeen {
        if (last.isBefore(first)) {
            throw new IllegalArgumentException("a stretch ends after it begins");
        }
        notDone = List.copyOf(notDone);
        sessions = List.copyOf(sessions);
        lifts = List.copyOf(lifts);
        pain = List.copyOf(pain);
    }

    /**
     * A week from Monday to Sunday.
     *
     * @throws IllegalArgumentException when it begins on another day
     */
    public static SpanSeen week(
            LocalDate monday,
            List<LocalDate> notDone,
            List<SeenSession> log,
            Function<Lift, LiftNumbers> numbers,
            Function<Lift, Optional<MaxEstimate>> estimates) {
        if (monday.getDayOfWeek() != DayOfWeek.MONDAY) {
            throw new IllegalArgumentException(monday + " is no Monday");
        }
        return of(monday, monday.plusDays(DAYS - 1L), notDone, log, numbers, estimates);
    }

    /**
     * The stretch from one day to another.
     *
     * @param notDone days of it that were planned, have gone by, and were not trained
     * @param log finished sessions, oldest first, of that stretch and of others
     * @param numbers by which ratings are read
     * @param estimates of each lift
     */
    public static SpanSeen of(
            LocalDate first,
            LocalDate last,
            List<LocalDate> notDone,
            List<SeenSession> log,
            Function<Lift, LiftNumbers> numbers,
            Function<Lift, Optional<MaxEstimate>> estimates) {
        List<SeenSession> sessions = log.stream()
                .filter(session ->
                        !session.date().isBefore(first) && !session.date().isAfter(last))
                .toList();
        List<Lift> lifts = sessions.stream()
                .flatMap(session -> session.lifts().stream())
                .distinct()
                .toList();
        return new SpanSeen(
                first,
                last,
                notDone,
                sessions,
                sessions.stream().mapToInt(SpanSeen::asked).sum(),
                sessions.stream().mapToInt(SpanSeen::done).sum(),
                lifts.stream()
                        .map(lift ->
                                LiftSpan.of(lift, first, last, sessions, numbers.apply(lift), estimates.apply(lift)))
                        .toList(),
                sessions.stream()
                        .flatMap(session -> session.pain().stream())
                        .distinct()
                        .toList());
    }

    private static int asked(SeenSession session) {
        return session.asked()
                .map(day -> day.prescriptions().stream()
                        .filter(prescription -> !prescription.part().work().isPreparation())
                        .mapToInt(PrescribedSets::sets)
                        .sum())
                .orElse(0);
    }

    private static int done(SeenSession session) {
        return (int) session.lifts().stream()
                .flatMap(lift -> session.work(lift).stream())
                .filter(set -> set.asked()
                        .filter(asked -> !asked.part().work().isPreparation())
                        .isPresent())
                .count();
    }

    /** How many sessions there were to be: those that were done and those that were not. */
    public int sessionsAsked() {
        return sessions.size() + notDone.size();
    }

    /** Whether there is nothing to tell of it. */
    public boolean isEmpty() {
        return sessionsAsked() == 0;
    }

    /** The Monday of the week that is reviewed on a day: until Wednesday the last one, from Thursday on its own. */
    public static LocalDate reviewedOn(LocalDate day) {
        LocalDate middle = day.minusDays(DayOfWeek.WEDNESDAY.getValue());
        return middle.minusDays(middle.getDayOfWeek().getValue() - 1L);
    }
}
