package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.equipment.Loading;
import dev.yarbel.core.equipment.Loads;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.KindOfWork;
import dev.yarbel.core.prescription.Manner;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Tempo;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.Worn;
import dev.yarbel.core.session.Best;
import dev.yarbel.core.session.Caution;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.LookOver;
import dev.yarbel.core.session.Prescription;
import dev.yarbel.core.session.PutOn;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.Rest;
import dev.yarbel.core.session.SessionPlan.Because;
import dev.yarbel.core.session.SessionPlan.SlotPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.web.page.BarDrawing;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Words;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Paints the sets of a day, each as a card that stands alone: what is on the bar, how it is done, and its form. */
@Component
class CardPainter {

    private static final int REST_AFTER_A_WARM_UP = 60;

    private final Words words;
    private final Amounts amounts;
    private final SlotLines lines;

    CardPainter(Words words, Amounts amounts, SlotLines lines) {
        this.words = words;
        this.amounts = amounts;
        this.lines = lines;
    }

    /** The cards of one day. */
    Cards of(FloorDay day, List<DoneSet> done, Map<SlotPlan, FloorView.SlotLine> slotLines, FormState state) {
        return new Cards(day, done, slotLines, state);
    }

    /** Paints the cards of one day; what several cards share is worked out once. */
    final class Cards {

        private final FloorDay day;
        private final List<DoneSet> done;
        private final Map<SlotPlan, FloorView.SlotLine> slotLines;
        private final FormState state;
        private final MassUnit unit;
        private final List<Best.PastSet> past;
        private final Map<String, String> beats = new HashMap<>();

        private Cards(FloorDay day, List<DoneSet> done, Map<SlotPlan, FloorView.SlotLine> slotLines, FormState state) {
            this.day = day;
            this.done = done;
            this.slotLines = slotLines;
            this.state = state;
            this.unit = day.plan().lifter().unit();
            this.past = day.plan().standing().pastSets();
        }

        FloorView.Card card(Task task, Map<Prescription, String> shifts) {
            SlotPlan slot = day.session().slots().stream()
                    .filter(s -> s.prescription().equals(task.asked()))
                    .findFirst()
                    .or(() -> day.session().slots().stream()
                            .filter(s ->
                                    s.prescription().letter().equals(task.key().letter()))
                            .findFirst())
                    .orElseThrow();
            Part part = task.asked().part();
            boolean warmUp = task.key().warmUp();
            boolean blind = part.is(Manner.BLIND);
            Variation variation = day.plan().standing().catalogue().of(task.lift());
            Optional<DoneSet> logged =
                    done.stream().filter(d -> d.task().equals(task.key())).findFirst();
            boolean plates = day.plan()
                    .resolver()
                    .kit(task.lift())
                    .filter(Loads::takesPlates)
                    .isPresent();
            Optional<Loading> onPlates = task.loading().filter(l -> plates);
            boolean about =
                    !warmUp && task.because() == Because.ASKED && slot.now().isAbout();
            Optional<Fit> ended =
                    slot.now().known().map(ResolvedLoad.Known::fit).filter(fit -> fit.limit() != Fit.Limit.NONE);
            Optional<String> moved = moved(task, slot);
            return new FloorView.Card(
                    task.key().toString(),
                    task.lift(),
                    slotLines.get(slot),
                    warmUp,
                    warmUp
                            ? task.key().number()
                            : task.key().number() - task.asked().firstSet() + 1,
                    of(task),
                    onPlates.map(l -> BarDrawing.of(l, task.before().sharedWith(l.stack()))),
                    blind
                            ? null
                            : task.loading()
                                    .map(l -> words.load(l.total(), unit))
                                    .orElse(null),
                    blind
                            ? null
                            : task.loading()
                                    .map(l -> words.other(l.total(), unit))
                                    .orElse(null),
                    about,
                    blind,
                    warmUp
                            ? words.say("times", String.valueOf(task.reps()))
                            : amounts.asked(part, task.reps(), task.last()),
                    task.reps(),
                    warmUp ? null : target(part),
                    onPlates.map(l -> change(task.before(), l)).orElse(null),
                    warmUp ? null : Amounts.clock(part),
                    warmUp ? REST_AFTER_A_WARM_UP : (int) Rest.after(part).toSeconds(),
                    part.tempo().filter(t -> !warmUp).map(Tempo::toString).orElse(null),
                    part.tempo()
                            .filter(t -> !warmUp)
                            .map(t -> t.beats(variation.start()).stream()
                                    .map(beat -> beat.phase() + ":" + beat.seconds())
                                    .collect(Collectors.joining(" ")))
                            .orElse(null),
                    part.details().cue().orElse(null),
                    putOn(task),
                    worn(task),
                    warmUp || task.because() == Because.ASKED
                            ? null
                            : task.because().name(),
                    blind ? null : moved.orElse(null),
                    warmUp || blind ? null : beat(task, part),
                    warmUp || day.amended().isChecked(task.key().letter())
                            ? Set.of()
                            : LookOver.before(part, variation),
                    ended.map(f -> f.limit().name()).orElse(null),
                    ended.map(f -> words.load(f.asked(), unit)).orElse(null),
                    !warmUp
                            && Caution.needsSpotters(
                                    variation,
                                    task.asked(),
                                    slot.now(),
                                    day.plan().resolver().numbers(task.lift())),
                    warmUp ? null : handled(task, slot),
                    form(task, logged, variation),
                    logged.isPresent(),
                    warmUp ? null : shifts.get(task.asked()),
                    onPlates.map(l -> plates(task, l)).orElse(null));
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

        private String plates(Task task, Loading loading) {
            return day
                    .plan()
                    .resolver()
                    .kit(task.lift())
                    .map(loads -> Racks.plates(loading, loads))
                    .orElse(List.of())
                    .stream()
                    .map(String::valueOf)
                    .collect(Collectors.joining(","));
        }

        /** How many sets there are of its kind. */
        private int of(Task task) {
            return (int) day.session().tasks().stream()
                    .filter(other -> task.key().warmUp()
                            ? other.key().warmUp()
                                    && other.key().letter().equals(task.key().letter())
                            : !other.key().warmUp() && other.asked().equals(task.asked()))
                    .count();
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

        private FloorView.Change change(PlateStack onTheBar, Loading loading) {
            return new FloorView.Change(
                    words.plates(onTheBar.takenOffFor(loading.stack()), unit),
                    words.plates(onTheBar.addedFor(loading.stack()), unit),
                    loading.stack().isEmpty());
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
                            past, task.lift(), KindOfWork.of(part), backOff, task.reps(), most)
                    .map(best -> words.say(
                            "floor.beat",
                            words.load(best.load(), unit),
                            String.valueOf(best.reps()),
                            best.rpe().toString(),
                            words.shortDay(best.on())))
                    .orElse(""));
        }

        private FloorView.Form form(Task task, Optional<DoneSet> logged, Variation variation) {
            String name = "set-" + task.key();
            Part part = task.asked().part();
            Work work = part.work();
            SetDetails details = logged.map(d -> d.set().details()).orElse(SetDetails.NONE);
            String load = task.loading().map(l -> l.total().figure(unit, 2)).orElse("");
            boolean warmUp = task.key().warmUp();
            LengthUnit far = unit == MassUnit.LB ? LengthUnit.FT : LengthUnit.M;
            String planned = work.carry()
                    .filter(carry -> !warmUp)
                    .map(carry -> carry.distance().format(carry.unit(), 1))
                    .orElse("");
            Set<Worn> worn = details.worn().orElseGet(() -> worn(task));
            return new FloorView.Form(
                    state.value(name, "token", UUID.randomUUID()),
                    state.value(
                            name,
                            "load",
                            logged.map(d -> d.set().load().isZero()
                                            ? ""
                                            : d.set().load().figure(unit, 2))
                                    .orElse(load)),
                    state.value(name, "reps", logged.map(d -> d.set().reps()).orElse(task.reps())),
                    state.concerns(name)
                            ? state.values().get("effort")
                            : logged.map(d -> d.set().effort().code()).orElse(null),
                    SetForm.mayBeUnloaded(part, variation.implement()),
                    !warmUp && SetForm.mayBeUnrated(work),
                    work.countsReps() || work.isRepsInTime(),
                    !warmUp && work.isTimed(),
                    state.value(name, "helped", details.helped() == 0 ? "" : details.helped()),
                    state.value(name, "why", details.missedBy().map(Enum::name).orElse("")),
                    state.value(
                            name,
                            "speed",
                            details.speed().map(BarSpeed::toString).orElse("")),
                    worn,
                    details.worn().isPresent()
                            || state.concerns(name) && state.values().containsKey("wears"),
                    state.value(name, "video", details.video().map(Enum::name).orElse("")),
                    state.value(
                            name,
                            "partner",
                            details.partner().map(Rpe::toString).orElse("")),
                    state.value(name, "note", details.note().orElse("")),
                    state.value(
                            name,
                            "time",
                            details.time()
                                    .map(time -> String.valueOf(time.toSeconds()))
                                    .orElse("")),
                    state.value(
                            name,
                            "distance",
                            details.distance().map(gone -> gone.format(far, 1)).orElse(planned)));
        }
    }

    /** The lines of the slots, one for each part. */
    Map<SlotPlan, FloorView.SlotLine> lines(FloorDay day, List<DoneSet> done, Sight sight) {
        Map<SlotPlan, FloorView.SlotLine> all = new LinkedHashMap<>();
        day.session().slots().forEach(slot -> all.put(slot, lines.line(day, slot, done, sight)));
        return all;
    }
}
