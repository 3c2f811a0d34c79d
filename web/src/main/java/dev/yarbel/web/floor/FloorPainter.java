package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Manner;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.Prescription;
import dev.yarbel.core.session.Rest;
import dev.yarbel.core.session.SessionPlan;
import dev.yarbel.core.session.SessionPlan.SlotPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Words;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Turns a day on the floor into what its page shows. */
@Component
class FloorPainter {

    private static final int UPCOMING = 3;
    private static final int REST_AFTER_A_WARM_UP = 60;
    /** After this nobody rests any more; they are gone, or forgot. */
    private static final Duration LONGEST_REST = Duration.ofMinutes(20);

    private final Words words;
    private final Amounts amounts;
    private final StairPainter stairs;
    private final CardPainter cards;
    private final SlotLines lines;
    private final Racks racks;
    private final Clock clock;

    FloorPainter(
            Words words,
            Amounts amounts,
            StairPainter stairs,
            CardPainter cards,
            SlotLines lines,
            Racks racks,
            Clock clock) {
        this.words = words;
        this.amounts = amounts;
        this.stairs = stairs;
        this.cards = cards;
        this.lines = lines;
        this.racks = racks;
        this.clock = clock;
    }

    /** The day as its page shows it. */
    FloorView view(FloorDay day, Sight sight, FormState state) {
        SessionPlan session = day.session();
        List<DoneSet> done = day.log().map(SessionLog::sets).orElse(List.of());
        Optional<Task> now = sight.set()
                .flatMap(key -> session.tasks().stream()
                        .filter(task -> task.key().equals(key))
                        .findFirst())
                .or(() -> day.finished() ? Optional.empty() : session.next());
        MassUnit unit = day.plan().lifter().unit();
        Map<SlotPlan, FloorView.SlotLine> slotLines = cards.lines(day, done, sight);
        CardPainter.Cards painter = cards.of(day, done, slotLines, state);
        Map<Prescription, String> shifts = sight.whole() ? racks.shifts(day, done) : Map.of();
        List<FloorView.Card> all = day.finished() || !sight.whole()
                ? List.of()
                : session.tasks().stream()
                        .map(task -> painter.card(task, shifts))
                        .toList();
        Optional<FloorView.Card> card = now.map(task -> painter.card(task, shifts));
        List<FloorView.CountOff> counts = counts(day, done);
        return new FloorView(
                day,
                now.flatMap(task -> stairs.stair(session, task, done, unit)),
                card,
                sight.set().map(TaskKey::toString).orElse(null),
                all,
                now.map(task -> upcoming(session, task, done, unit)).orElse(List.of()),
                List.copyOf(slotLines.values()),
                sight.changing().orElse(null),
                day.finished()
                        ? null
                        : session.question()
                                .map(question -> QuestionAsked.of(day, question, unit, words))
                                .orElse(null),
                lastSet(day, done, unit),
                day.log().isPresent(),
                !done.isEmpty(),
                counts,
                day.setsLeft(),
                minutes(day),
                day.finished() ? null : resting(day),
                racks.racks(day));
    }

    /** A session as the coach goes through it. */
    FloorView.Review review(FloorDay day) {
        MassUnit unit = day.plan().lifter().unit();
        List<DoneSet> done = day.log().map(SessionLog::sets).orElse(List.of());
        return new FloorView.Review(
                day,
                done.stream().map(set -> seen(set, unit)).toList(),
                day.log().flatMap(log -> log.ratings().coachNote()).orElse(""));
    }

    private FloorView.Seen seen(DoneSet done, MassUnit unit) {
        CoachSeen coach = done.set().details().coach();
        return new FloorView.Seen(
                lines.doneLine(done, unit, false),
                done.set().lift(),
                coach.rating().map(Rpe::toString).orElse(""),
                coach.form().map(Enum::name).orElse(""),
                coach.link().map(Enum::name).orElse(""),
                coach.note().orElse(""));
    }

    // ---- what comes next

    private List<FloorView.Upcoming> upcoming(SessionPlan session, Task now, List<DoneSet> done, MassUnit unit) {
        int index = session.tasks().indexOf(now);
        return session.tasks().stream()
                .skip(index + 1L)
                .filter(task -> done.stream().noneMatch(d -> d.task().equals(task.key())))
                .limit(UPCOMING)
                .map(task -> upcoming(session, task, unit))
                .toList();
    }

    private FloorView.Upcoming upcoming(SessionPlan session, Task task, MassUnit unit) {
        PlateStack before = task.before();
        boolean warmUp = task.key().warmUp();
        Optional<SlotPlan> work = session.slots().stream()
                .filter(s -> s.prescription().isAnsweredBy(task.key()))
                .findFirst();
        boolean blind = task.asked().part().is(Manner.BLIND);
        return new FloorView.Upcoming(
                task.key().toString(),
                task.lift(),
                blind
                        ? null
                        : task.loading().map(l -> words.load(l.total(), unit)).orElse(null),
                blind ? null : work.map(slot -> lines.was(slot, unit)).orElse(null),
                work.filter(slot -> slot.now().isAbout()).isPresent(),
                blind,
                warmUp
                        ? words.say("times", String.valueOf(task.reps()))
                        : amounts.asked(task.asked().part(), task.reps(), task.last()),
                warmUp,
                task.loading()
                        .map(l -> words.plates(before.addedFor(l.stack()), unit))
                        .orElse(""),
                task.loading()
                        .map(l -> words.plates(before.takenOffFor(l.stack()), unit))
                        .orElse(""));
    }

    // ---- what was done

    private FloorView.LastSet lastSet(FloorDay day, List<DoneSet> done, MassUnit unit) {
        if (done.isEmpty() || day.finished()) {
            return null;
        }
        DoneSet last = done.get(done.size() - 1);
        boolean blind = day.task(last.task())
                .filter(task -> task.asked().part().is(Manner.BLIND))
                .isPresent();
        return new FloorView.LastSet(
                last.task().toString(),
                last.set().lift(),
                lines.doneLine(last, unit, blind),
                last.set().effort().isMissed()
                        && last.set().details().missedBy().isEmpty(),
                UUID.randomUUID().toString());
    }

    private FloorView.Resting resting(FloorDay day) {
        SessionLog log = day.log().orElse(null);
        if (log == null || log.sets().isEmpty()) {
            return null;
        }
        Instant from = log.times().get(log.times().size() - 1);
        if (Duration.between(from, clock.instant()).compareTo(LONGEST_REST) > 0) {
            return null;
        }
        TaskKey last = log.sets().get(log.sets().size() - 1).task();
        long seconds = last.warmUp()
                ? REST_AFTER_A_WARM_UP
                : day.task(last)
                        .map(task -> Rest.after(task.asked().part()).toSeconds())
                        .orElse((long) REST_AFTER_A_WARM_UP);
        return new FloorView.Resting(from.toEpochMilli(), seconds);
    }

    /** The slots with sets too many or too few, but for those where the day itself decides how many; one that was cut has as
     * many as it should. */
    private List<FloorView.CountOff> counts(FloorDay day, List<DoneSet> done) {
        List<FloorView.CountOff> counts = new ArrayList<>();
        for (SlotPlan slot : day.session().slots()) {
            Prescription asked = slot.prescription();
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
                counts.add(new FloorView.CountOff(asked.letter(), asked.lift(), made, asked.sets()));
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
