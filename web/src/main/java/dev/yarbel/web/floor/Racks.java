package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.equipment.Loader;
import dev.yarbel.core.equipment.Loading;
import dev.yarbel.core.equipment.Loads;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateSet;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.Prescription;
import dev.yarbel.core.session.ResolvedLoad;
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

/**
 * What the scripts of the floor need to go on without a line: the plates there are for each lift, and what loads that hang
 * on a top would come to for each load the top might have. Everything is worked out here, so that a phone looks up and
 * never reckons.
 */
@Component
class Racks {

    /** How far from the planned top a lifted one is foreseen. */
    private static final Percent LIGHTEST = Percent.of(85);

    private static final Percent HEAVIEST = Percent.of(112);

    private final Words words;
    private final JsonMapper json;

    Racks(Words words, JsonMapper json) {
        this.words = words;
        this.json = json;
    }

    /**
     * The plates for a lift's bar.
     *
     * @param base the bar and its collars, in the lifter's unit
     */
    record Rack(String base, String unit, boolean collar, List<Disc> plates) {}

    /** A plate, its mass in the lifter's unit, and how it is drawn. */
    record Disc(String label, String mass, int pairs, int width, int height, String colour) {}

    /** What a load comes to: in words, as a figure, and the plates of one side by their place in the rack. */
    record Shift(String text, String load, List<Integer> plates) {}

    /** The racks of the day's lifts that take plates, by the lift's key. */
    String racks(FloorDay day) {
        MassUnit unit = day.plan().lifter().unit();
        Map<String, Rack> racks = new LinkedHashMap<>();
        for (Prescription asked : day.amended().day()) {
            kit(day, asked.lift())
                    .ifPresent(loader -> racks.putIfAbsent(asked.lift().key(), rack(loader, unit)));
        }
        return json.writeValueAsString(racks);
    }

    private static Optional<Loader> kit(FloorDay day, Lift lift) {
        Optional<Loads> loads = day.plan().resolver().kit(lift);
        return loads.filter(Loader.class::isInstance).map(Loader.class::cast);
    }

    private static Rack rack(Loader loader, MassUnit unit) {
        List<Disc> discs = new ArrayList<>();
        for (PlateSet.Pairs pairs : loader.kit().plates().heaviestFirst()) {
            Plate plate = pairs.plate();
            Loading alone = loader.kit().with(new PlateStack(List.of(plate)));
            BarDrawing.Disc drawn = BarDrawing.of(alone).discs().get(0);
            discs.add(new Disc(
                    plate.label(),
                    plate.mass().figure(unit, 4),
                    pairs.count(),
                    drawn.width(),
                    drawn.height(),
                    drawn.colour()));
        }
        return new Rack(
                loader.kit().base().figure(unit, 4),
                unit.symbol(),
                loader.kit().collars().isPositive(),
                discs);
    }

    /**
     * For each slot part whose load hangs on a top still to be lifted: what it comes to for each load of the top, by that
     * load's figure; the top's key stands under {@code top}.
     */
    Map<Prescription, String> shifts(FloorDay day, List<DoneSet> done) {
        List<Prescription> asked = day.amended().day();
        Map<Prescription, String> shifts = new LinkedHashMap<>();
        for (Prescription top : asked) {
            boolean open = done.stream().noneMatch(d -> top.isAnsweredBy(d.task()));
            Optional<Mass> planned = day.session().slots().stream()
                    .filter(slot -> slot.prescription().equals(top))
                    .flatMap(slot -> slot.now().load().stream())
                    .findFirst();
            boolean hungOn = asked.stream()
                    .anyMatch(other -> other.lift().equals(top.lift())
                            && other.part().basis().hangsOnTop());
            if (top.part().isTop() && top.sets() > 0 && open && hungOn && planned.isPresent()) {
                shifts.putAll(shifts(day, done, top, planned.get()));
            }
        }
        return shifts;
    }

    private Map<Prescription, String> shifts(FloorDay day, List<DoneSet> done, Prescription top, Mass planned) {
        MassUnit unit = day.plan().lifter().unit();
        List<Prescription> asked = day.amended().day();
        Map<Prescription, Map<String, Object>> found = new LinkedHashMap<>();
        TaskKey key = TaskKey.work(top.letter(), top.lastSet());
        Loads loads = day.plan().resolver().kit(top.lift()).orElseThrow();
        Mass load = loads.round(planned.times(LIGHTEST), Rounding.UP);
        Mass last = loads.round(planned.times(HEAVIEST), Rounding.DOWN);
        while (!load.isGreaterThan(last)) {
            List<DoneSet> then = new ArrayList<>(done);
            then.add(new DoneSet(key, new LiftedSet(top.lift(), load, 1, new Effort.Unrated())));
            List<ResolvedLoad> comesTo = day.plan().resolver().resolve(asked, then);
            for (int i = 0; i < asked.size(); i++) {
                Prescription other = asked.get(i);
                Optional<ResolvedLoad.Known> known = comesTo.get(i).known();
                if (other.lift().equals(top.lift()) && other.part().basis().hangsOnTop() && known.isPresent()) {
                    found.computeIfAbsent(other, o -> {
                                Map<String, Object> first = new LinkedHashMap<>();
                                first.put("top", key.toString());
                                return first;
                            })
                            .put(load.figure(unit, 2), shift(known.get().fit().loading(), loads, unit));
                }
            }
            Mass step = loads.stepAt(load);
            load = load.plus(step.isPositive() ? step : Mass.ofKg(1000));
        }
        Map<Prescription, String> written = new LinkedHashMap<>();
        found.forEach((other, table) -> written.put(other, json.writeValueAsString(table)));
        return written;
    }

    private Shift shift(Loading loading, Loads loads, MassUnit unit) {
        return new Shift(words.load(loading.total(), unit), loading.total().figure(unit, 2), plates(loading, loads));
    }

    /** The plates of one side by their place in the rack. */
    static List<Integer> plates(Loading loading, Loads loads) {
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
