package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.lift.Checklist;
import dev.yarbel.core.lift.Tempo;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.KindOfWork;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.Worn;
import dev.yarbel.core.session.Amendment;
import dev.yarbel.core.session.Best;
import dev.yarbel.core.session.Caution;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.KinStart;
import dev.yarbel.core.session.LookOver;
import dev.yarbel.core.session.PutOn;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.SessionPlan.Because;
import dev.yarbel.core.session.SessionPlan.SlotPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.web.page.BarDrawing;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.SpecialWords;
import dev.yarbel.web.page.Words;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Writes the sets of a day, each as a document that stands alone: what is on the bar, how it is done, and its form. */
@Component
class SetWriter {

    private final Words words;
    private final Amounts amounts;
    private final SpecialWords special;
    private final SlotWriter slots;

    SetWriter(Words words, Amounts amounts, SpecialWords special, SlotWriter slots) {
        this.words = words;
        this.amounts = amounts;
        this.special = special;
        this.slots = slots;
    }

    /** The sets of one day. */
    Sets of(FloorDay day, List<DoneSet> done, Map<SlotPlan, DayDocument.SlotDoc> slotDocs, FormState state) {
        return new Sets(day, done, slotDocs, state);
    }

    /** Writes the sets of one day; what several share is worked out once. */
    final class Sets {

        private final FloorDay day;
        private final List<DoneSet> done;
        private final Map<SlotPlan, DayDocument.SlotDoc> slotDocs;
        private final FormState state;
        private final MassUnit unit;
        private final Map<String, String> beats = new HashMap<>();
        private List<Best.PastSet> past;

        private Sets(FloorDay day, List<DoneSet> done, Map<SlotPlan, DayDocument.SlotDoc> slotDocs, FormState state) {
            this.day = day;
            this.done = done;
            this.slotDocs = slotDocs;
            this.state = state;
            this.unit = day.plan().lifter().unit();
        }

        DayDocument.SetDoc set(Task task) {
            SlotPlan slot = day.slot(task);
            Optional<DoneSet> logged =
                    done.stream().filter(d -> d.task().equals(task.key())).findFirst();
            Variation variation = day.plan().standing().catalogue().of(task.lift());
            return new DayDocument.SetDoc(
                    place(task, logged.isPresent()),
                    slotDocs.get(slot),
                    load(task, slot),
                    bar(task, slot),
                    work(task, variation),
                    heed(task, slot, variation),
                    form(task, logged, variation));
        }

        private DayDocument.Place place(Task task, boolean logged) {
            boolean warmUp = task.key().warmUp();
            return new DayDocument.Place(
                    task.key().toString(),
                    task.lift(),
                    warmUp,
                    task.number(),
                    day.session().ofItsKind(task),
                    logged);
        }

        private DayDocument.Load load(Task task, SlotPlan slot) {
            boolean guess = !task.key().warmUp()
                    && task.because() == Because.ASKED
                    && slot.now().isAbout();
            DayDocument.Load load = slots.load(slot, task.loading().map(LoadedBar::total), guess, unit);
            return new DayDocument.Load(
                    load.text(),
                    load.other(),
                    load.about(),
                    load.blind(),
                    load.blind() ? null : moved(task, slot).orElse(null));
        }

        private DayDocument.Bar bar(Task task, SlotPlan slot) {
            Optional<LoadedBar> onPlates = task.loading().filter(l -> day.plan()
                    .resolver()
                    .kit(task.lift())
                    .filter(AvailableLoads::takesPlates)
                    .isPresent());
            Optional<Fit> ended =
                    slot.now().known().map(ResolvedLoad.Known::fit).filter(fit -> fit.miss() != Fit.Miss.NONE);
            return new DayDocument.Bar(
                    onPlates.map(l -> BarDrawing.of(l, task.before().sharedWith(l.stack()))),
                    onPlates.map(l -> slots.change(task.before(), l, unit)).orElse(null),
                    task.key().warmUp() || task.because() == Because.ASKED
                            ? null
                            : task.because().name(),
                    ended.map(f -> f.miss().name()).orElse(null),
                    ended.map(f -> words.about(f.asked(), unit)).orElse(null),
                    start(task, slot));
        }

        private DayDocument.Work work(Task task, Variation variation) {
            Part part = task.asked().part();
            if (task.key().warmUp()) {
                return new DayDocument.Work(
                        words.say("times", String.valueOf(task.reps())),
                        task.reps(),
                        null,
                        List.of(),
                        null,
                        null,
                        null,
                        part.details().cue().orElse(null),
                        null);
            }
            return new DayDocument.Work(
                    amounts.asked(part, task.reps(), task.last()),
                    task.reps(),
                    target(part),
                    special.of(
                            part,
                            task.loading().map(LoadedBar::total),
                            variation,
                            day.plan().lifter().bodyMass(),
                            unit),
                    Amounts.clock(part),
                    part.tempo().map(Tempo::toString).orElse(null),
                    part.tempo()
                            .map(tempo -> tempo.beats(variation.start()).stream()
                                    .map(beat -> beat.phase() + ":" + beat.seconds())
                                    .collect(Collectors.joining(" ")))
                            .orElse(null),
                    part.details().cue().orElse(null),
                    part.is(SetModifier.BLIND) ? null : beat(task, part));
        }

        private DayDocument.Heed heed(Task task, SlotPlan slot, Variation variation) {
            if (task.key().warmUp()) {
                return new DayDocument.Heed(putOn(task), Set.of(), null, false, null);
            }
            return new DayDocument.Heed(
                    putOn(task),
                    day.amended().isChecked(task.key().letter())
                            ? Set.of()
                            : LookOver.before(task.asked().part(), variation),
                    new Amendment.Checked(task.key().letter()).text(),
                    Caution.needsSpotters(
                            variation,
                            task.asked(),
                            slot.now(),
                            day.plan().resolver().numbers(task.lift())),
                    handled(task, slot));
        }

        /** Who carries what of a load beyond what the lifter can do. */
        private String handled(Task task, SlotPlan slot) {
            boolean beyond = slot.ramp()
                    .filter(ramp -> ramp.remarks().contains(Ramp.Remark.HANDLED))
                    .isPresent();
            Optional<Mass> max = day.plan().resolver().numbers(task.lift()).estimate();
            if (!beyond || max.isEmpty() || task.loading().isEmpty()) {
                return null;
            }
            Mass carried = task.loading().get().total().minus(max.get());
            return words.say(
                    "floor.handled",
                    day.plan()
                            .spotter(day.day(), task.key().letter())
                            .orElseGet(() -> words.say("floor.handled.somebody")),
                    words.about(carried, unit));
        }

        /** The load planned before something moved it. */
        private Optional<String> moved(Task task, SlotPlan slot) {
            if (task.key().warmUp() || task.loading().isEmpty()) {
                return Optional.empty();
            }
            Optional<String> planned = slot.planned().load().map(l -> words.load(l, unit));
            return planned.filter(was -> slot.hasMoved() || task.because() != Because.ASKED)
                    .filter(was -> !task.asked().part().work().isClimb())
                    .filter(was ->
                            !was.equals(words.load(task.loading().orElseThrow().total(), unit)));
        }

        private String target(Part part) {
            return part.basis()
                    .rating()
                    .or(part.work()::climbsTo)
                    .map(Rpe::toString)
                    .orElse(null);
        }

        private Set<Worn> worn(Task task) {
            Percent share = Percent.HUNDRED;
            Optional<Task> top = day.session().tasks().stream()
                    .filter(other -> !other.key().warmUp()
                            && other.key().letter().equals(task.key().letter()))
                    .findFirst();
            if (task.key().warmUp()
                    && task.loading().isPresent()
                    && top.flatMap(Task::loading).isPresent()) {
                share = task.loading()
                        .get()
                        .total()
                        .percentOf(top.flatMap(Task::loading).get().total());
            }
            boolean bare = task.loading().map(l -> l.stack().isEmpty()).orElse(false)
                    && task.key().warmUp();
            return PutOn.worn(task.asked().part().details(), share, bare);
        }

        /** What goes on now and was not on for the set before it. */
        private Set<Worn> putOn(Task task) {
            Set<Worn> now = worn(task);
            if (now.isEmpty()) {
                return now;
            }
            List<Task> tasks = day.session().tasks().stream()
                    .filter(other -> other.key().letter().equals(task.key().letter()))
                    .toList();
            int at = tasks.indexOf(task);
            EnumSet<Worn> more = EnumSet.noneOf(Worn.class);
            more.addAll(now);
            if (at > 0) {
                more.removeAll(worn(tasks.get(at - 1)));
            }
            return more;
        }

        private String beat(Task task, Part part) {
            if (!part.work().countsReps()
                    || task.key().warmUp()
                    || part.work().clusters().isPresent()
                    || part.work().isInAll()
                    || part.work().isToLimit()) {
                return null;
            }
            Rpe most = part.basis().rating().orElse(Rpe.LIMIT);
            boolean backOff = part.basis().hangsOnTop();
            return beats.computeIfAbsent(task.lift().key() + " " + part.shorthand() + " " + task.reps(), key -> Best.of(
                            past(), task.lift(), KindOfWork.of(part), backOff, task.reps(), most)
                    .map(best -> words.say(
                            "floor.beat",
                            words.load(best.load(), unit),
                            String.valueOf(best.reps()),
                            best.rpe().toString(),
                            words.shortDay(best.on())))
                    .orElse(""));
        }

        private List<Best.PastSet> past() {
            if (past == null) {
                past = day.plan().standing().pastSets();
            }
            return past;
        }

        private DayDocument.Form form(Task task, Optional<DoneSet> logged, Variation variation) {
            String name = DayDocument.SetDoc.formName(task.key().toString());
            String planned =
                    task.loading().map(l -> words.figure(l.total(), unit)).orElse("");
            String load = logged.map(d -> d.set().load())
                    .map(lifted -> lifted.isZero() ? "" : words.figure(lifted, unit))
                    .orElseGet(() -> planned.isEmpty() ? usedBefore(task) : planned);
            return new DayDocument.Form(
                    state.value(name, "token", UUID.randomUUID()),
                    state.value(name, "load", load),
                    state.value(name, "reps", reps(task, logged)),
                    state.concerns(name)
                            ? state.values().get("effort")
                            : logged.map(d -> d.set().effort().code()).orElse(null),
                    SetReader.bounds(task, variation, checklist(task)),
                    more(task, name, logged));
        }

        /** Where nobody can say the load, what was on the bar for the set before; empty where there was none. */
        private String usedBefore(Task task) {
            return done.stream()
                    .filter(d -> !d.task().warmUp()
                            && d.task().letter().equals(task.key().letter())
                            && d.set().lift().equals(task.lift())
                            && d.set().load().isPositive())
                    .reduce((earlier, later) -> later)
                    .map(d -> words.figure(d.set().load(), unit))
                    .orElse("");
        }

        /** Where to begin with a lift that nothing is known of, until something was lifted of it. */
        private DayDocument.Start start(Task task, SlotPlan slot) {
            if (task.key().warmUp() || !usedBefore(task).isEmpty()) {
                return null;
            }
            return KinStart.of(task.asked(), slot.now(), day.plan().resolver())
                    .map(kin -> new DayDocument.Start(
                            words.load(kin.load(), unit), words.figure(kin.load(), unit), kin.from()))
                    .orElse(null);
        }

        /** What makes a repetition of the lift clean, in words. */
        private String checklist(Task task) {
            return Checklist.of(task.lift(), day.plan().standing().catalogue()).stream()
                    .map(point -> words.say("check." + point))
                    .collect(Collectors.joining(", "));
        }

        /** What stands in the field: what was done, else what is asked for; nothing where only lifting settles it. */
        private String reps(Task task, Optional<DoneSet> logged) {
            return logged.map(done -> String.valueOf(done.set().reps()))
                    .orElseGet(() -> SetReader.isOpen(task) ? "" : String.valueOf(task.reps()));
        }

        private SetSent.More more(Task task, String name, Optional<DoneSet> logged) {
            String way = task.asked()
                    .part()
                    .work()
                    .carry()
                    .filter(carry -> !task.key().warmUp())
                    .map(carry -> words.figure(carry.distance().format(carry.unit(), 1)))
                    .orElse("");
            return SetSent.More.of(
                    state, name, logged.map(d -> d.set().details()).orElse(SetDetails.NONE), worn(task), way, unit);
        }
    }
}
