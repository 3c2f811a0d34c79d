package dev.yarbel.web.floor;

import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.session.Prescription;
import dev.yarbel.core.session.SessionPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.PlannedDay;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.plan.LifterPlan;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** One day of a plan on the floor, with what was lifted of it so far. */
record FloorDay(LifterPlan plan, int day, int week, SessionPlan session, Optional<SessionLog> log) {

    static FloorDay of(LifterPlan plan, int day, int week) {
        Optional<SessionLog> log = plan.session(day, week);
        return new FloorDay(
                plan,
                day,
                week,
                SessionPlan.of(
                        plan.resolver(),
                        Prescription.of(plan.block(), day, week),
                        log.map(SessionLog::sets).orElse(List.of())),
                log);
    }

    /**
     * The day to be lifted now: one begun and not finished; else today's; else the next to come; else the last.
     */
    static FloorDay inFocus(LifterPlan plan) {
        int[] best = null;
        int bestRank = Integer.MAX_VALUE;
        for (int week = 0; week < plan.block().weeks(); week++) {
            for (int day = 0; day < plan.block().days().size(); day++) {
                int rank = rank(plan, day, week);
                if (rank < bestRank) {
                    bestRank = rank;
                    best = new int[] {day, week};
                }
            }
        }
        return best == null ? null : of(plan, best[0], best[1]);
    }

    private static int rank(LifterPlan plan, int day, int week) {
        LocalDate date = plan.block().date(day, week);
        int away = (int) java.time.temporal.ChronoUnit.DAYS.between(plan.today(), date);
        boolean begun = plan.session(day, week).isPresent();
        boolean finished = plan.isFinished(day, week);
        if (begun && !finished && Math.abs(away) <= 3) {
            return -1;
        }
        if (away == 0) {
            return 0;
        }
        if (finished) {
            return 1_000_000 - away;
        }
        return away > 0 ? away : 500_000 - away;
    }

    /**
     * The set of this key. One that the plan asked for when the page was sent and no longer does was lifted all the same:
     * it is known by its slot.
     */
    Optional<Task> task(TaskKey key) {
        return session.tasks().stream()
                .filter(task -> task.key().equals(key))
                .findFirst()
                .or(() -> plan.block().days().get(day).slots().stream()
                        .filter(slot -> slot.letter().equals(key.letter()))
                        .findFirst()
                        .map(slot -> new Task(
                                key,
                                slot.lift(),
                                PlateStack.EMPTY,
                                Optional.empty(),
                                slot.doses().get(week).map(Dose::reps).orElse(1))));
    }

    public LocalDate date() {
        return plan.block().date(day, week);
    }

    public String name() {
        return plan.block().days().get(day).name();
    }

    PlannedDay planned() {
        return plan.planned(day, week);
    }

    public boolean finished() {
        return log.filter(SessionLog::finished).isPresent();
    }

    public boolean today() {
        return date().equals(plan.today());
    }
}
