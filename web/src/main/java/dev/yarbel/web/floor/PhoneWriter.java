package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateSet;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.Rest;
import dev.yarbel.core.session.SessionPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.page.BarDrawing;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes what of a day a phone needs to go on without a line, see {@link PhoneDay}. */
@Component
class PhoneWriter {

    private static final int REST_AFTER_A_WARM_UP = 60;
    /** How far from the planned top a lifted one is foreseen. */
    private static final Percent LIGHTEST = Percent.of(85);

    private static final Percent HEAVIEST = Percent.of(112);

    private final Words words;
    private final JsonMapper json;

    PhoneWriter(Words words, JsonMapper json) {
        this.words = words;
        this.json = json;
    }

    /**
     * The day as JSON.
     *
     * @param tasks the sets it tells of
     * @param foreseen whether it tells what loads come to that hang on a top not lifted yet
     */
    String write(FloorDay day, List<Task> tasks, boolean foreseen) {
        Map<PrescribedSets, PhoneDay.Shifts> shifts = foreseen ? shifts(day, day.done()) : Map.of();
        return json.writeValueAsString(new PhoneDay(
                tasks.stream().map(task -> set(day, task, shifts)).toList(), racks(day), BarDrawing.LAYOUT));
    }

    private PhoneDay.PhoneSet set(FloorDay day, Task task, Map<PrescribedSets, PhoneDay.Shifts> shifts) {
        SessionPlan session = day.session();
        boolean warmUp = task.key().warmUp();
        Variation variation = day.plan().standing().catalogue().of(task.lift());
        return new PhoneDay.PhoneSet(
                task.key().toString(),
                task.key().letter(),
                task.asked().group(),
                task.lift().key(),
                name(session, task),
                warmUp,
                day.done().stream().anyMatch(done -> done.task().equals(task.key())),
                session.open().contains(task),
                task.asked().part().is(SetModifier.BLIND),
                keys(session.endedBy(task, false)),
                keys(session.endedBy(task, true)),
                (int) rest(Optional.of(task)),
                SetReader.onThePhone(task, variation),
                task.loading()
                        .flatMap(loading ->
                                day.plan().resolver().kit(task.lift()).map(loads -> plates(loading, loads)))
                        .orElse(List.of()),
                warmUp ? null : shifts.get(task.asked()));
    }

    private static List<String> keys(List<TaskKey> keys) {
        return keys.stream().map(TaskKey::toString).toList();
    }

    /** How long to rest after a set, in seconds; after one that the day does not know, as after a warm-up. */
    static long rest(Optional<Task> task) {
        return task.filter(set -> !set.key().warmUp())
                .map(set -> Rest.after(set.asked().part()).toSeconds())
                .orElse((long) REST_AFTER_A_WARM_UP);
    }

    /** The racks of the day's lifts that take plates, by the lift's key. */
    private Map<String, PhoneDay.Rack> racks(FloorDay day) {
        MassUnit unit = day.plan().lifter().unit();
        Map<String, PhoneDay.Rack> racks = new LinkedHashMap<>();
        for (PrescribedSets asked : day.amended().day()) {
            day.plan()
                    .resolver()
                    .kit(asked.lift())
                    .flatMap(AvailableLoads::loader)
                    .ifPresent(loader -> racks.computeIfAbsent(asked.lift().key(), key -> rack(loader, unit)));
        }
        return racks;
    }

    /** What a set is called where it waits for the line. */
    private String name(SessionPlan session, Task task) {
        return words.say(
                task.key().warmUp() ? "floor.name.warm-up" : "floor.name.set",
                task.key().letter(),
                words.lift(task.lift()),
                task.number(),
                session.ofItsKind(task));
    }

    private PhoneDay.Rack rack(BarLoads loader, MassUnit unit) {
        List<PhoneDay.Disc> discs = new ArrayList<>();
        for (PlateSet.Pairs pairs : loader.kit().plates().heaviestFirst()) {
            Plate plate = pairs.plate();
            LoadedBar alone = loader.kit().with(new PlateStack(List.of(plate)));
            BarDrawing.Disc drawn = BarDrawing.of(alone).discs().get(0);
            discs.add(new PhoneDay.Disc(
                    words.figure(plate.label()),
                    plate.mass().figure(unit, 4),
                    pairs.count(),
                    drawn.width(),
                    drawn.height(),
                    drawn.colour()));
        }
        return new PhoneDay.Rack(loader.kit().base().figure(unit, 4), unit.symbol(), discs);
    }

    /** For each slot part whose load hangs on a top still to be lifted: what it comes to for each load of the top. */
    private Map<PrescribedSets, PhoneDay.Shifts> shifts(FloorDay day, List<DoneSet> done) {
        List<PrescribedSets> asked = day.amended().day();
        Map<PrescribedSets, PhoneDay.Shifts> shifts = new LinkedHashMap<>();
        for (PrescribedSets top : asked) {
            boolean open = done.stream().noneMatch(d -> top.isAnsweredBy(d.task()));
            Optional<Mass> planned = day.session().slots().stream()
                    .filter(slot -> slot.prescription().equals(top))
                    .flatMap(slot -> slot.now().load().stream())
                    .findFirst();
            if (top.part().isTop() && top.sets() > 0 && open && planned.isPresent()) {
                shifts.putAll(shifts(day, done, top, planned.get()));
            }
        }
        return shifts;
    }

    private Map<PrescribedSets, PhoneDay.Shifts> shifts(
            FloorDay day, List<DoneSet> done, PrescribedSets top, Mass planned) {
        MassUnit unit = day.plan().lifter().unit();
        List<PrescribedSets> hung = day.amended().day().stream()
                .filter(other ->
                        other.lift().equals(top.lift()) && other.part().basis().hangsOnTop())
                .toList();
        Map<PrescribedSets, PhoneDay.Shifts> found = new LinkedHashMap<>();
        if (hung.isEmpty()) {
            return found;
        }
        TaskKey key = TaskKey.work(top.letter(), top.lastSet());
        AvailableLoads loads = day.plan().resolver().kit(top.lift()).orElseThrow();
        for (Mass load : loadsOf(loads, planned)) {
            List<DoneSet> then = new ArrayList<>(done);
            then.add(new DoneSet(key, new LiftedSet(top.lift(), load, 1, new Effort.Unrated())));
            List<ResolvedLoad> comesTo =
                    day.plan().resolver().resolve(day.amended().day(), then);
            for (PrescribedSets other : hung) {
                comesTo.get(day.amended().day().indexOf(other)).known().ifPresent(known -> found.computeIfAbsent(
                                other, o -> new PhoneDay.Shifts(key.toString(), new LinkedHashMap<>()))
                        .by()
                        .put(load.figure(unit, 2), shift(known.fit().loading(), loads, unit)));
            }
        }
        return found;
    }

    /** The loads a top may have been lifted with, by the steps there are around the planned one. */
    private static List<Mass> loadsOf(AvailableLoads loads, Mass planned) {
        List<Mass> all = new ArrayList<>();
        Mass load = loads.round(planned.times(LIGHTEST), Rounding.UP);
        Mass last = loads.round(planned.times(HEAVIEST), Rounding.DOWN);
        while (!load.isGreaterThan(last)) {
            all.add(load);
            Mass step = loads.stepAt(load);
            load = load.plus(step.isPositive() ? step : Mass.ofKg(1000));
        }
        return all;
    }

    private PhoneDay.Shift shift(LoadedBar loading, AvailableLoads loads, MassUnit unit) {
        return new PhoneDay.Shift(
                words.load(loading.total(), unit), words.figure(loading.total(), unit), plates(loading, loads));
    }

    /** The plates of one side by their place in the rack. */
    private static List<Integer> plates(LoadedBar loading, AvailableLoads loads) {
        List<Integer> plates = new ArrayList<>();
        if (loads.loader().isPresent()) {
            List<PlateSet.Pairs> rack = loads.loader().get().kit().plates().heaviestFirst();
            for (Plate plate : loading.stack().plates()) {
                for (int i = 0; i < rack.size(); i++) {
                    if (rack.get(i).plate().equals(plate)) {
                        plates.add(i);
                    }
                }
            }
        }
        return plates;
    }
}
