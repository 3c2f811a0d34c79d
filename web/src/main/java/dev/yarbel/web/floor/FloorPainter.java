package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.Loading;
import dev.yarbel.core.equipment.Loads;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.session.Caution;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.SessionPlan;
import dev.yarbel.core.session.SessionPlan.SlotPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.page.BarDrawing;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Turns a day on the floor into what its page shows. */
@Component
class FloorPainter {

    private static final int STEP_WIDTH = 62;
    private static final int UPCOMING = 3;

    private final Words words;

    FloorPainter(Words words) {
        this.words = words;
    }

    FloorView view(FloorDay day, Optional<TaskKey> chosen, Optional<SetForm> refused) {
        SessionPlan session = day.session();
        List<DoneSet> done = day.log().map(SessionLog::sets).orElse(List.of());
        Optional<Task> now =
                chosen.flatMap(key -> find(session, key)).or(() -> day.finished() ? Optional.empty() : session.next());
        MassUnit unit = day.plan().lifter().unit();
        List<SlotView> slots = new ArrayList<>();
        for (SlotPlan slot : session.slots()) {
            slots.add(new SlotView(day, slot, done));
        }
        return new FloorView(
                day,
                stair(session, now, done, unit),
                now.map(task -> now(day, task, done, refused, unit)),
                now.map(task -> upcoming(session, task, unit)).orElse(List.of()),
                slots.stream().map(slot -> slot.line(unit)).toList(),
                !done.isEmpty(),
                (int) session.tasks().stream()
                        .filter(t -> !t.key().warmUp() && done(done, t.key()).isEmpty())
                        .count());
    }

    private static Optional<Task> find(SessionPlan session, TaskKey key) {
        return session.tasks().stream().filter(t -> t.key().equals(key)).findFirst();
    }

    private static Optional<DoneSet> done(List<DoneSet> done, TaskKey key) {
        return done.stream().filter(d -> d.task().equals(key)).findFirst();
    }

    // ---- the stair

    private Optional<FloorView.Stair> stair(
            SessionPlan session, Optional<Task> now, List<DoneSet> done, MassUnit unit) {
        return now.flatMap(task -> session.slots().stream()
                        .filter(slot -> slot.prescription().lift().equals(task.lift())
                                && slot.ramp().isPresent())
                        .findFirst())
                .map(slot -> stair(slot, now.get().key(), done, unit));
    }

    private FloorView.Stair stair(SlotPlan slot, TaskKey current, List<DoneSet> done, MassUnit unit) {
        Ramp ramp = slot.ramp().orElseThrow();
        List<Loading> loadings = new ArrayList<>();
        ramp.steps().forEach(step -> loadings.add(step.loading()));
        loadings.add(ramp.top());
        double top = ramp.top().total().in(MassUnit.KG).doubleValue();
        List<FloorView.Step> steps = new ArrayList<>();
        PlateStack before = PlateStack.EMPTY;
        for (int i = 0; i < loadings.size(); i++) {
            boolean isTop = i == loadings.size() - 1;
            String letter = slot.prescription().letter();
            TaskKey key = isTop ? TaskKey.work(letter, 1) : TaskKey.warmUp(letter, i + 1);
            Loading loading = loadings.get(i);
            double share = loading.total().in(MassUnit.KG).doubleValue() / top;
            int y = (int) Math.round(112 - 68 * Math.max(0, share - 0.1) / 0.9);
            String on = words.plates(before.addedFor(loading.stack()), unit);
            String off = words.plates(before.takenOffFor(loading.stack()), unit);
            steps.add(new FloorView.Step(
                    key.toString(),
                    i * STEP_WIDTH,
                    y,
                    STEP_WIDTH,
                    done(done, key)
                            .map(d -> d.set().load())
                            .orElse(loading.total())
                            .figure(unit, 2),
                    isTop
                            ? slot.prescription().part().reps()
                            : ramp.steps().get(i).reps(),
                    isTop && slot.now().isAbout() && done(done, key).isEmpty(),
                    (off.isEmpty() ? "" : "−" + off + " ") + (on.isEmpty() ? "" : "+" + on),
                    done(done, key).isPresent(),
                    key.equals(current),
                    isTop,
                    discs(loading, i * STEP_WIDTH, y)));
            before = loading.stack();
        }
        List<String> notes = ramp.remarks().stream().map(Enum::name).sorted().toList();
        return new FloorView.Stair(slot.prescription().lift(), loadings.size() * STEP_WIDTH, steps, notes);
    }

    /** A small bar standing on the tread: one side, plates to scale. */
    private static List<FloorView.Disc> discs(Loading loading, int left, int tread) {
        List<FloorView.Disc> discs = new ArrayList<>();
        int x = left + 14;
        for (BarDrawing.Disc disc : BarDrawing.of(loading, 0).discs()) {
            int height = Math.max(8, disc.height() * 34 / 100);
            int width = Math.max(2, disc.width() * 28 / 100);
            if (x + width < left + STEP_WIDTH - 2) {
                discs.add(new FloorView.Disc(x, tread - 20 - height / 2, width, height));
            }
            x += width + 1;
        }
        return discs;
    }

    // ---- now

    private FloorView.Now now(FloorDay day, Task task, List<DoneSet> done, Optional<SetForm> refused, MassUnit unit) {
        SessionPlan session = day.session();
        SlotPlan slot = session.slots().stream()
                .filter(s -> answers(s, task.key()))
                .findFirst()
                .orElseThrow();
        Part dose = slot.prescription().part();
        Optional<DoneSet> logged = done(done, task.key());
        PlateStack onTheBar = task.before();
        Optional<SetForm> typed =
                refused.filter(form -> form.task().equals(task.key().toString()));
        String load = task.loading().map(l -> l.total().figure(unit, 2)).orElse("");
        boolean warmUp = task.key().warmUp();
        boolean about = !warmUp && slot.now().isAbout();
        Optional<Fit> ended = slot.now() instanceof ResolvedLoad.Known known
                ? Optional.of(known.fit()).filter(fit -> fit.limit() != Fit.Limit.NONE)
                : Optional.empty();
        return new FloorView.Now(
                task.key().toString(),
                task.lift(),
                new SlotView(day, slot, done).line(unit),
                warmUp,
                task.key().number(),
                warmUp ? slot.ramp().map(r -> r.steps().size()).orElse(1) : dose.sets(),
                task.loading()
                        .filter(l -> takesPlates(day, task.lift()))
                        .map(l -> BarDrawing.of(l, onTheBar.sharedWith(l.stack()))),
                task.loading().map(l -> words.load(l.total(), unit)).orElse(null),
                task.loading().map(l -> words.other(l.total(), unit)).orElse(null),
                about,
                task.reps(),
                dose.shorthand(),
                dose.basis() instanceof LoadBasis.AtRpe at && !warmUp ? at.rpe().toString() : null,
                dose.rest()
                        .filter(r -> !warmUp)
                        .map(r -> String.valueOf(r.toSeconds()))
                        .orElse(null),
                dose.tempo().filter(t -> !warmUp).map(Object::toString).orElse(null),
                task.loading()
                        .filter(l -> takesPlates(day, task.lift()))
                        .map(l -> change(onTheBar, l, unit))
                        .orElse(null),
                typed.map(SetForm::token).orElseGet(() -> UUID.randomUUID().toString()),
                typed.map(SetForm::load)
                        .orElseGet(() ->
                                logged.map(d -> d.set().load().figure(unit, 2)).orElse(load)),
                typed.map(SetForm::reps)
                        .orElseGet(() ->
                                String.valueOf(logged.map(d -> d.set().reps()).orElse(task.reps()))),
                typed.map(SetForm::effort)
                        .orElseGet(
                                () -> logged.map(d -> d.set().effort().code()).orElse(null)),
                typed.map(SetForm::error).orElse(null),
                logged.isPresent(),
                ended.map(f -> f.limit().name()).orElse(null),
                ended.map(f -> words.load(f.asked(), unit)).orElse(null),
                !warmUp
                        && Caution.needsSpotters(
                                day.plan().standing().catalogue().of(task.lift()),
                                slot.prescription(),
                                slot.now(),
                                day.plan().resolver().numbers(task.lift())));
    }

    /** Whether a set belongs to this part of the day; warm-ups belong to the part they lead to. */
    private static boolean answers(SlotPlan slot, TaskKey task) {
        return slot.prescription().isAnsweredBy(task)
                || task.warmUp()
                        && slot.prescription().letter().equals(task.letter())
                        && slot.prescription().firstSet() == 1;
    }

    private static boolean takesPlates(FloorDay day, Lift lift) {
        return day.plan().resolver().kit(lift).filter(Loads::takesPlates).isPresent();
    }

    private FloorView.Change change(PlateStack onTheBar, Loading loading, MassUnit unit) {
        return new FloorView.Change(
                words.plates(onTheBar.takenOffFor(loading.stack()), unit),
                words.plates(onTheBar.addedFor(loading.stack()), unit),
                loading.stack().isEmpty());
    }

    private List<FloorView.Upcoming> upcoming(SessionPlan session, Task now, MassUnit unit) {
        int index = session.tasks().indexOf(now);
        return session.tasks().stream()
                .skip(index + 1L)
                .limit(UPCOMING)
                .map(task -> {
                    PlateStack before = task.before();
                    Optional<SlotPlan> work = session.slots().stream()
                            .filter(s -> s.prescription().isAnsweredBy(task.key()))
                            .findFirst();
                    return new FloorView.Upcoming(
                            task.lift(),
                            task.loading().map(l -> words.load(l.total(), unit)).orElse(null),
                            work.map(slot -> was(slot, unit)).orElse(null),
                            work.filter(slot -> slot.now().isAbout()).isPresent(),
                            task.reps(),
                            task.key().warmUp(),
                            task.loading()
                                    .map(l -> words.plates(before.addedFor(l.stack()), unit))
                                    .orElse(""),
                            task.loading()
                                    .map(l -> words.plates(before.takenOffFor(l.stack()), unit))
                                    .orElse(""));
                })
                .toList();
    }

    // ---- the day's slots

    /** The load planned before what was lifted moved it; null where it did not. */
    private String was(SlotPlan slot, MassUnit unit) {
        return slot.hasMoved()
                ? slot.planned().load().map(l -> words.load(l, unit)).orElse(null)
                : null;
    }

    private final class SlotView {

        private final FloorDay day;
        private final SlotPlan slot;
        private final List<DoneSet> done;

        SlotView(FloorDay day, SlotPlan slot, List<DoneSet> allDone) {
            this.day = day;
            this.slot = slot;
            this.done = allDone.stream().filter(d -> answers(slot, d.task())).toList();
        }

        FloorView.SlotLine line(MassUnit unit) {
            ResolvedLoad.Origin origin = slot.now() instanceof ResolvedLoad.Known known ? known.origin() : null;
            String why = origin == null
                    ? ((ResolvedLoad.Unknown) slot.now()).why().name()
                    : origin.getClass().getSimpleName();
            String hangsOn = null;
            String drop = null;
            if (origin instanceof ResolvedLoad.Origin.BelowLiftedTop lifted) {
                hangsOn = words.load(lifted.top(), unit);
                drop = words.percent(lifted.drop());
                why = lifted.missed() ? "BelowLastMade" : why;
            } else if (origin instanceof ResolvedLoad.Origin.BelowPlannedTop planned) {
                hangsOn = words.load(planned.top(), unit);
                drop = words.percent(planned.drop());
            } else if (origin instanceof ResolvedLoad.Origin.FromWorkingMax max) {
                hangsOn = through(max.workingMax(), numbers().workingMaxThrough(), unit);
                drop = words.percent(max.share());
            } else if (origin instanceof ResolvedLoad.Origin.FromReference from) {
                hangsOn = words.reference(from.of(), words.about(from.whole(), unit));
                drop = words.percent(from.share());
            } else if (origin instanceof ResolvedLoad.Origin.AfterLastTime after) {
                hangsOn = words.load(after.last(), unit);
                drop = words.load(after.step(), unit);
            } else if (origin instanceof ResolvedLoad.Origin.FromEstimate estimate) {
                hangsOn = through(estimate.estimate(), numbers().estimateThrough(), unit);
                drop = words.percent(estimate.share());
            }
            return new FloorView.SlotLine(
                    slot.prescription().letter(),
                    slot.prescription().lift(),
                    slot.prescription().part().shorthand(),
                    slot.now().load().map(l -> words.load(l, unit)).orElse(null),
                    was(slot, unit),
                    slot.now().isAbout(),
                    why,
                    hangsOn,
                    drop,
                    kit(),
                    (int) done.stream().filter(d -> !d.task().warmUp()).count(),
                    slot.prescription().part().sets(),
                    done.stream().map(d -> doneLine(d, unit)).toList());
        }

        private LiftNumbers numbers() {
            return day.plan().resolver().numbers(slot.prescription().lift());
        }

        /** A max, with the ratio by which it was taken from another lift's. */
        private String through(Mass max, Optional<Ratio> ratio, MassUnit unit) {
            String figure = words.about(max, unit);
            return ratio.map(r -> words.say("slot.through", figure, words.percent(r.share()), words.lift(r.to())))
                    .orElse(figure);
        }

        /** What makes the load: the gym and the bar or piece, with what the load is of where there are two. */
        private String kit() {
            if (!(slot.now() instanceof ResolvedLoad.Known known)) {
                return null;
            }
            Lift lift = slot.prescription().lift();
            Variation variation = day.plan().standing().catalogue().of(lift);
            Implement implement = variation.implement();
            boolean hand = implement == Implement.HANDLES || implement == Implement.DUMBBELL;
            String kit = words.say(
                    hand ? "floor.kit.hand" : "floor.kit",
                    day.plan().kit().gymName(),
                    implement.made() == Implement.Made.FREELY
                            ? words.madeWith(implement, "")
                            : known.fit().loading().kit().bar().name());
            return day.plan()
                    .kit()
                    .safetyHeight(variation)
                    .map(height -> words.say("floor.kit.safeties", kit, height))
                    .orElse(kit);
        }

        private FloorView.DoneLine doneLine(DoneSet d, MassUnit unit) {
            Effort effort = d.set().effort();
            return new FloorView.DoneLine(
                    d.task().toString(),
                    d.task().warmUp(),
                    words.load(d.set().load(), unit),
                    d.set().reps(),
                    effort.code());
        }
    }
}
