package dev.yarbel.web.floor;

import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.session.SessionPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.PlannedDay;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.plan.LifterPlan;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

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
                        plan.course().prescriptions(day, week),
                        log.map(SessionLog::sets).orElse(List.of())),
                log);
    }

    /** A day and a week of a block, both from 0. */
    record Place(int day, int week) {}

    /**
     * The day to be lifted now: one begun lately and not finished; else today's; else the next to come; else the last.
     * Empty when the block has no days.
     */
    static Optional<Place> inFocus(LifterPlan plan) {
        return IntStream.range(0, plan.block().weeks())
                .boxed()
                .flatMap(week -> IntStream.range(0, plan.block().days().size()).mapToObj(day -> new Place(day, week)))
                .min(Comparator.comparingInt(place -> rank(plan, place.day(), place.week())));
    }

    /** The smaller, the sooner this day should be on the floor. */
    private static int rank(LifterPlan plan, int day, int week) {
        LocalDate date = plan.block().date(day, week);
        int away = (int) ChronoUnit.DAYS.between(plan.today(), date);
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
                                slot.doses()
                                        .get(week)
                                        .map(dose -> dose.first().reps())
                                        .orElse(1))));
    }

    public LocalDate date() {
        return plan.block().date(day, week);
    }

    public String name() {
        return plan.block().days().get(day).name();
    }

    /** What the plan asks for, a line a slot. */
    String asked() {
        return plan.block().days().get(day).slots().stream()
                .flatMap(slot -> slot.doses().get(week).stream()
                        .map(dose -> slot.letter() + "\t" + slot.lift().key() + "\t" + dose.shorthand()))
                .collect(Collectors.joining("\n"));
    }

    /** Whether the plan was changed after the session began. */
    public boolean changedSince() {
        return log.flatMap(SessionLog::asked)
                .filter(then -> !then.equals(asked()))
                .isPresent();
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
