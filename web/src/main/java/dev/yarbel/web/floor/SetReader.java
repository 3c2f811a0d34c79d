package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.UnitSlip;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.SetUp;
import dev.yarbel.core.session.Demand;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.FarOff;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** Reads a set as it was sent from the floor. What cannot be read is an {@link UnreadableException} with its field. */
record SetReader(SetSent sent, Task task, Catalogue catalogue, LiftNumbers numbers, MassUnit unit) {

    private static final Mass MOST = Mass.ofKg(1000);
    /** More counts than these are no choice for a thumb. */
    private static final int MOST_LIKELY = 7;

    /** What can be right in the form of a set. */
    static DayDocument.Bounds bounds(Task task, Variation variation, String checklist) {
        Part part = task.asked().part();
        Work work = part.work();
        boolean warmUp = task.key().warmUp();
        return new DayDocument.Bounds(
                mayBeUnloaded(part, variation.implement()),
                !warmUp && mayBeUnrated(part),
                work.countsReps() || work.isRepsInTime() || isOpen(task),
                !warmUp && work.isTimed(),
                isChoosing(task),
                isOpen(task) ? count(work, task.reps()) : null,
                !warmUp && part.is(SetModifier.TO_POSITION),
                variation.measures(),
                checklist);
    }

    /** Whether only lifting settles how many there are of a set. */
    static boolean isOpen(Task task) {
        return !task.key().warmUp() && task.asked().part().work().leavesCountOpen(task.last());
    }

    /** Whether the lifter picks the exercise, which nobody else can say. */
    private static boolean isChoosing(Task task) {
        Part part = task.asked().part();
        return !task.key().warmUp()
                && (part.is(SetModifier.CHOICE)
                        || part.is(SetModifier.CHOICE_OF_STRENGTH)
                        || part.is(SetModifier.CHOICE_OF_WEAKNESS));
    }

    private static DayDocument.Count count(Work work, int least) {
        List<Integer> likely = work.straight()
                .filter(Work.Straight::isRange)
                .filter(range -> range.most() - least < MOST_LIKELY)
                .map(range -> IntStream.rangeClosed(least, range.most()).boxed().toList())
                .orElse(List.of());
        return new DayDocument.Count(work.countsRounds(), least, likely);
    }

    /** The same as the phone looks at it. */
    static PhoneDay.Form onThePhone(Task task, Variation variation) {
        return new PhoneDay.Form(
                Mass.WRITTEN,
                mayBeUnloaded(task.asked().part(), variation.implement()),
                Work.MOST_REPS,
                mostMissed(task).orElse(null));
    }

    /** Whether nothing has to be on the bar: preparation, work with the body alone, work by feel. */
    private static boolean mayBeUnloaded(Part part, Implement implement) {
        return part.work().isPreparation()
                || implement.made() == Implement.Made.FREELY
                || part.basis().isByFeel();
    }

    /** Whether a set need not be rated: it is held, carried, prepared, raced against the clock, or lifted for speed. */
    private static boolean mayBeUnrated(Part part) {
        return !part.work().countsReps()
                || part.work().clusters().isPresent()
                || part.work().density().isPresent()
                || part.is(SetModifier.SPEED);
    }

    /** A set that made what was planned was not missed; of a single, the planned one stands for none. */
    private static Optional<Integer> mostMissed(Task task) {
        return task.reps() > 1 ? Optional.of(task.reps() - 1) : Optional.empty();
    }

    /** The set that was sent; what a coach said of it before stays. */
    DoneSet read(Optional<CoachSeen> seen) {
        Mass load = Reading.field("load", sent.load(), this::load);
        Effort effort = Reading.field("effort", sent.effort(), this::effort);
        int done = Reading.field("reps", sent.reps(), text -> reps(text, effort));
        ask(load, done, effort);
        if (isChoosing(task) && (sent.note() == null || sent.note().isBlank())) {
            throw new UnreadableException("set.error.choice").in("note");
        }
        SetDetails details = sent.details(
                done,
                effort.isMissed(),
                unit,
                seen.orElse(CoachSeen.NOTHING),
                task.key().warmUp() ? SetUp.PLAIN : Demand.setUp(task.asked().part()));
        return new DoneSet(task.key(), new LiftedSet(task.lift(), load, done, effort, details));
    }

    private Mass load(String text) {
        boolean unloaded =
                mayBeUnloaded(task.asked().part(), catalogue.of(task.lift()).implement());
        if (unloaded && (text.isEmpty() || text.equals("0"))) {
            return Mass.ZERO;
        }
        return mass(text);
    }

    /** What is far from likely is asked about before it is kept. */
    private void ask(Mass load, int done, Effort effort) {
        if (sent.isMeant()) {
            return;
        }
        Part part = task.asked().part();
        boolean plain = part.work().countsReps()
                && (task.key().warmUp() || !Demand.setUp(part).changesTheLoad());
        FarOff.load(load, task.loading().map(LoadedBar::total), plain ? numbers.estimate() : Optional.empty())
                .ifPresent(expected -> {
                    throw UnitSlip.isSuspected(load, expected)
                            ? new UnreadableException("ask.set-unit").in("load")
                            : new UnreadableException("ask.set-load", expected.format(unit, 2)).in("load");
                });
        if (!part.work().countsReps()) {
            return;
        }
        boolean open = part.work().stop().isPresent()
                || part.work().isInAll()
                || part.work().straight().filter(Work.Straight::isRange).isPresent();
        Optional<Integer> asked = open && !task.key().warmUp() ? Optional.empty() : Optional.of(task.reps());
        FarOff.reps(done, asked, load, plain ? numbers : LiftNumbers.NONE).ifPresent(expected -> {
            throw new UnreadableException("ask.set-reps", expected).in("reps");
        });
        if (plain && !mayBeUnrated(part)) {
            FarOff.rating(effort, done, Demand.of(part, numbers).plain(load), numbers)
                    .ifPresent(likely -> {
                        throw new UnreadableException("ask.set-rating").in("effort");
                    });
        }
    }

    private Mass mass(String text) {
        try {
            Mass mass = Mass.parse(text, unit);
            if (mass.isPositive() && !mass.isGreaterThan(MOST)) {
                return mass;
            }
        } catch (IllegalArgumentException | ArithmeticException notAMass) {
            // refused below, like a mass out of range
        }
        throw new UnreadableException("set.error.load." + unit);
    }

    private int reps(String text, Effort effort) {
        if (text.isEmpty() && isOpen(task)) {
            throw new UnreadableException("set.error.open-count");
        }
        int done = count(text);
        if (effort.isMissed() && done >= task.reps()) {
            if (mostMissed(task).isPresent()) {
                throw new UnreadableException("set.error.missed-reps");
            }
            return 0;
        }
        if (done == 0 && !effort.isMissed()) {
            throw new UnreadableException("set.error.no-reps");
        }
        return done;
    }

    private static int count(String text) {
        if (!text.matches("\\d{1,3}") || Integer.parseInt(text) > Work.MOST_REPS) {
            throw new UnreadableException("set.error.reps");
        }
        return Integer.parseInt(text);
    }

    private Effort effort(String text) {
        try {
            Effort effort = Effort.parse(text);
            if (!effort.isUnrated() || mayBeUnrated(task.asked().part())) {
                return effort;
            }
        } catch (IllegalArgumentException notAnEffort) {
            // refused below, like a set that has to be rated
        }
        throw new UnreadableException("set.error.effort");
    }
}
