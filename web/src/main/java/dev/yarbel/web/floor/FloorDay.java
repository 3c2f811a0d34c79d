package dev.yarbel.web.floor;

import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.session.Amended;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.FloorRules;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.SessionPlan;
import dev.yarbel.core.session.SessionPlan.Because;
import dev.yarbel.core.session.SessionPlan.SlotPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.PlannedDay;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * One day of a plan on the floor, with what was changed of it and lifted so far.
 *
 * @param changes what was changed on the floor and stands
 * @param amended what the day asks for with these changes
 */
record FloorDay(
        LifterBlock plan,
        int day,
        int week,
        List<Sessions.FloorChange> changes,
        Amended amended,
        SessionPlan session,
        Optional<SessionLog> log) {

    static FloorDay of(LifterBlock plan, int day, int week, List<Sessions.FloorChange> changes) {
        return of(plan, day, week, changes, Optional.empty());
    }

    /** The same day where a slot is to be done now, whatever comes before it in the plan. */
    FloorDay choosing(String letter) {
        return of(plan, day, week, changes, Optional.of(letter));
    }

    private static FloorDay of(
            LifterBlock plan, int day, int week, List<Sessions.FloorChange> changes, Optional<String> chosen) {
        Optional<SessionLog> log = plan.session(day, week);
        List<PrescribedSets> asked = plan.projection().prescriptions(day, week);
        Amended amended = Amended.of(
                asked, changes.stream().map(Sessions.FloorChange::amendment).toList());
        SessionPlan session = SessionPlan.of(
                plan.resolver(),
                rules(plan, amended.day(), chosen),
                amended,
                log.map(SessionLog::sets).orElse(List.of()));
        return new FloorDay(plan, day, week, changes, amended, session, log);
    }

    private static FloorRules rules(LifterBlock plan, List<PrescribedSets> asked, Optional<String> chosen) {
        LifterCard lifter = plan.lifter();
        Set<Lift> held = asked.stream()
                .map(PrescribedSets::lift)
                .filter(lift ->
                        !lifter.aching(lift, plan.standing().catalogue()).isEmpty())
                .collect(Collectors.toSet());
        return new FloorRules(plan.standing().catalogue(), lifter.evenWarmUps(), held, chosen);
    }

    /** A day and a week of a block, both from 0. */
    record Place(int day, int week) {}

    /**
     * The day to be lifted now: one begun lately and not finished; else today's; else the next to come; else the last.
     * Empty when the block has no days.
     */
    static Optional<Place> inFocus(LifterBlock plan) {
        return places(plan).min(Comparator.comparingInt(place -> rank(plan, place.day(), place.week())));
    }

    /** The days that follow this one in the calendar and are not finished. */
    List<Place> following(int most) {
        return places(plan)
                .filter(place -> plan.block().date(place.day(), place.week()).isAfter(date())
                        && !plan.isFinished(place.day(), place.week()))
                .sorted(Comparator.comparing(place -> plan.block().date(place.day(), place.week())))
                .limit(most)
                .toList();
    }

    private static Stream<Place> places(LifterBlock plan) {
        return IntStream.range(0, plan.block().weeks())
                .boxed()
                .flatMap(week -> IntStream.range(0, plan.block().days().size()).mapToObj(day -> new Place(day, week)));
    }

    /** The smaller, the sooner this day should be on the floor. */
    private static int rank(LifterBlock plan, int day, int week) {
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
                .or(() -> prescription(key.letter())
                        .map(asked -> new Task(
                                key,
                                asked,
                                PlateStack.EMPTY,
                                Optional.empty(),
                                asked.part().reps(),
                                Because.ASKED,
                                true)));
    }

    /** The slot that a set belongs to. */
    SlotPlan slot(Task task) {
        return session.slots().stream()
                .filter(slot -> slot.prescription().equals(task.asked()))
                .findFirst()
                .or(() -> session.slots().stream()
                        .filter(slot ->
                                slot.prescription().letter().equals(task.key().letter()))
                        .findFirst())
                .orElseThrow();
    }

    /** The sets that were done, in the order they were. */
    List<DoneSet> done() {
        return log.map(SessionLog::sets).orElse(List.of());
    }

    /** What a slot asks for, or asked for or once was asked for in another week where it asks for nothing now. */
    private Optional<PrescribedSets> prescription(String letter) {
        return amended.day().stream()
                .filter(asked -> asked.letter().equals(letter))
                .findFirst()
                .or(() -> plan.block().days().get(day).slots().stream()
                        .filter(slot -> slot.letter().equals(letter))
                        .findFirst()
                        .flatMap(slot -> slot.doses().stream()
                                .flatMap(Optional::stream)
                                .findFirst()
                                .map(dose -> new PrescribedSets(letter, slot.lift(), dose))));
    }

    /** What the plan itself asks for in a slot, whatever was changed on the floor. */
    Optional<PrescribedSets> planned(String letter) {
        return plan.projection().prescriptions(day, week).stream()
                .filter(asked -> asked.letter().equals(letter))
                .findFirst();
    }

    public LocalDate date() {
        return plan.block().date(day, week);
    }

    public String name() {
        return plan.block().days().get(day).name();
    }

    /** What the day asks for and what that comes to, as it is kept once its first set is logged. */
    String asked() {
        return AskedDay.of(
                        plan.block().shape().get(week).deload(),
                        plan.projection().prescriptions(day, week),
                        plan.projection().loads(day, week))
                .text();
    }

    /** Whether the plan was changed after the session began. */
    public boolean changedSince() {
        return log.flatMap(SessionLog::asked)
                .filter(then -> !then.isStill(plan.block(), day, week))
                .isPresent();
    }

    PlannedDay key() {
        return plan.planned(day, week);
    }

    /** The number the plan knows this day by, wherever it stands in the plan. */
    public long planDay() {
        return key().day();
    }

    /** How many work sets of the day nobody has logged. */
    int setsLeft() {
        List<TaskKey> done = done().stream().map(DoneSet::task).toList();
        return (int) session.tasks().stream()
                .map(Task::key)
                .filter(key -> !key.warmUp() && !done.contains(key))
                .count();
    }

    /**
     * Asks about sets that nobody logged before the session is finished.
     *
     * @param meant whether that was done, or something was said of them
     * @throws UnreadableException that asks
     */
    void askAboutLeft(boolean meant) {
        int left = setsLeft();
        if (left > 0 && !finished() && !meant) {
            throw new UnreadableException("ask.sets-left", left).in("left");
        }
    }

    /** Whether this person may open the finished session again: a coach any time, the lifter on the day itself. */
    public boolean reopens(Person person) {
        return log.filter(SessionLog::finished)
                .filter(session -> person.isCoach() || session.date().equals(plan.today()))
                .isPresent();
    }

    public boolean finished() {
        return log.filter(SessionLog::finished).isPresent();
    }

    public boolean today() {
        return date().equals(plan.today());
    }
}
