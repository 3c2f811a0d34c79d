package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.SessionPlan.SlotPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.SpecialWords;
import dev.yarbel.web.page.Words;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Writes a day on the floor as a document. */
@Component
class DayWriter {

    private static final int UPCOMING = 3;
    /** After this nobody rests any more; they are gone, or forgot. */
    private static final Duration LONGEST_REST = Duration.ofMinutes(20);

    private final Words words;
    private final Amounts amounts;
    private final SpecialWords special;
    private final StairWriter stairs;
    private final SetWriter sets;
    private final SlotWriter slots;
    private final PhoneWriter phone;
    private final AfterwardsWriter afterwards;
    private final Clock clock;

    DayWriter(
            Words words,
            Amounts amounts,
            SpecialWords special,
            StairWriter stairs,
            SetWriter sets,
            SlotWriter slots,
            PhoneWriter phone,
            AfterwardsWriter afterwards,
            Clock clock) {
        this.words = words;
        this.amounts = amounts;
        this.special = special;
        this.stairs = stairs;
        this.sets = sets;
        this.slots = slots;
        this.phone = phone;
        this.afterwards = afterwards;
        this.clock = clock;
    }

    /**
     * A day's document.
     *
     * @param state what was typed into a form that could not be used
     */
    DayDocument write(FloorDay day, Focus focus, FormState state) {
        List<DoneSet> done = day.done();
        Optional<Task> now = inHand(day, focus);
        Map<SlotPlan, DayDocument.SlotDoc> slotDocs = slots.slots(day, done, focus);
        SetWriter.Sets writer = sets.of(day, done, slotDocs, state);
        boolean whole = focus.whole() && !day.finished();
        List<Task> kept = whole ? day.session().tasks() : now.stream().toList();
        return new DayDocument(
                day,
                new DayDocument.InHand(
                        now.map(writer::set),
                        focus.set().map(TaskKey::toString).orElse(null),
                        focus.changing().orElse(null),
                        now.flatMap(task -> stairs.stair(
                                day.session(), task, done, day.plan().lifter().unit())),
                        now.map(task -> upcoming(day, task, done)).orElse(List.of()),
                        day.finished() ? null : resting(day)),
                whole ? kept.stream().map(writer::set).toList() : List.of(),
                List.copyOf(slotDocs.values()),
                logged(day, done),
                day.finished() ? afterwards.write(day) : null,
                phone.write(day, kept, whole));
    }

    private static Optional<Task> inHand(FloorDay day, Focus focus) {
        return focus.set()
                .flatMap(key -> day.session().tasks().stream()
                        .filter(task -> task.key().equals(key))
                        .findFirst())
                .or(() -> day.finished() ? Optional.empty() : day.session().next());
    }

    private DayDocument.Logged logged(FloorDay day, List<DoneSet> done) {
        MassUnit unit = day.plan().lifter().unit();
        return new DayDocument.Logged(
                day.log().isPresent(),
                !done.isEmpty(),
                lastSet(day, done, unit),
                day.finished()
                        ? null
                        : day.session()
                                .question()
                                .map(question -> QuestionAsked.of(day, question, unit, words))
                                .orElse(null),
                new DayDocument.Ending(day.setsLeft(), counts(day, done), minutes(day)));
    }

    /** A session as the coach goes through it. */
    DayDocument.Review review(FloorDay day) {
        MassUnit unit = day.plan().lifter().unit();
        return new DayDocument.Review(
                day,
                day.done().stream().map(set -> seen(set, unit)).toList(),
                day.log().flatMap(log -> log.ratings().coachNote()).orElse(""));
    }

    private DayDocument.Seen seen(DoneSet done, MassUnit unit) {
        CoachSeen coach = done.set().details().coach();
        return new DayDocument.Seen(
                slots.doneLine(done, unit, false),
                done.set().lift(),
                coach.rating().map(Rpe::toString).orElse(""),
                coach.form().map(Enum::name).orElse(""),
                coach.link().map(Enum::name).orElse(""),
                coach.reps()
                        .map(seen -> seen.areClean() ? "0" : seen.toString())
                        .orElse(""),
                coach.note().orElse(""));
    }

    // ---- what comes next

    private List<DayDocument.Upcoming> upcoming(FloorDay day, Task now, List<DoneSet> done) {
        List<Task> tasks = day.session().tasks();
        return tasks.subList(tasks.indexOf(now) + 1, tasks.size()).stream()
                .filter(task -> done.stream().noneMatch(d -> d.task().equals(task.key())))
                .limit(UPCOMING)
                .map(task -> upcoming(day, task))
                .toList();
    }

    private DayDocument.Upcoming upcoming(FloorDay day, Task task) {
        MassUnit unit = day.plan().lifter().unit();
        boolean warmUp = task.key().warmUp();
        SlotPlan slot = day.slot(task);
        DayDocument.Load load = slots.load(
                slot,
                task.loading().map(LoadedBar::total),
                !warmUp && slot.now().isAbout(),
                unit);
        return new DayDocument.Upcoming(
                task.key().toString(),
                task.lift(),
                warmUp ? new DayDocument.Load(load.text(), load.other(), load.about(), load.blind(), null) : load,
                warmUp
                        ? words.say("times", String.valueOf(task.reps()))
                        : amounts.asked(task.asked().part(), task.reps(), task.last()),
                warmUp ? List.of() : special.inShort(task.asked().part()),
                warmUp,
                task.loading()
                        .map(loading -> slots.change(task.before(), loading, unit))
                        .orElse(null));
    }

    // ---- what was done

    private DayDocument.LastSet lastSet(FloorDay day, List<DoneSet> done, MassUnit unit) {
        if (done.isEmpty() || day.finished()) {
            return null;
        }
        DoneSet last = done.get(done.size() - 1);
        boolean blind = day.task(last.task())
                .filter(task -> task.asked().part().is(SetModifier.BLIND))
                .isPresent();
        return new DayDocument.LastSet(
                last.task().toString(),
                last.set().lift(),
                slots.doneLine(last, unit, blind),
                last.set().effort().isMissed()
                        && last.set().details().missedBy().isEmpty());
    }

    private DayDocument.Resting resting(FloorDay day) {
        SessionLog log = day.log().orElse(null);
        if (log == null || log.sets().isEmpty()) {
            return null;
        }
        Instant from = log.times().get(log.times().size() - 1);
        if (Duration.between(from, clock.instant()).compareTo(LONGEST_REST) > 0) {
            return null;
        }
        long seconds =
                PhoneWriter.rest(day.task(log.sets().get(log.sets().size() - 1).task()));
        return new DayDocument.Resting(from.toEpochMilli(), seconds);
    }

    /** The slots with sets too many or too few, but for those where the day itself decides how many; one that was cut has as
     * many as it should. */
    private List<DayDocument.CountOff> counts(FloorDay day, List<DoneSet> done) {
        List<DayDocument.CountOff> counts = new ArrayList<>();
        for (SlotPlan slot : day.session().slots()) {
            PrescribedSets asked = slot.prescription();
            int made = (int)
                    done.stream().filter(d -> asked.isAnsweredBy(d.task())).count();
            Work work = asked.part().work();
            boolean open = work.isClimb()
                    || work.density().isPresent()
                    || work.repeatsUntil().isPresent()
                    || work.isInAll()
                    || work.straight()
                            .filter(straight -> made >= straight.sets() && made <= straight.mostSets())
                            .isPresent();
            if (made != asked.sets() && !open) {
                counts.add(new DayDocument.CountOff(asked.letter(), asked.lift(), made, asked.sets()));
            }
        }
        return counts;
    }

    /** How long the session has taken so far, by its first and last set. */
    private int minutes(FloorDay day) {
        return day.log()
                .map(SessionLog::times)
                .filter(times -> times.size() > 1)
                .map(times -> (int) Math.min(
                        600,
                        Math.max(
                                1,
                                Duration.between(times.get(0), times.get(times.size() - 1))
                                        .toMinutes())))
                .orElse(0);
    }
}
