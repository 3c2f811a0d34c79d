package dev.yarbel.core.session;

import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.equipment.Loading;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.ramp.RampPlanner;
import dev.yarbel.core.ramp.RampStep;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * One day on the floor: each slot with its ramp and its sets, as planned and as the sets lifted so far make it.
 *
 * @param slots in the order they are trained
 * @param tasks all sets to be done, in order
 * @param next the first set after the last one done; empty when none is left
 */
public record SessionPlan(List<SlotPlan> slots, List<Task> tasks, Optional<Task> next) {

    public SessionPlan {
        slots = List.copyOf(slots);
        tasks = List.copyOf(tasks);
    }

    /**
     * One slot of the day.
     *
     * @param planned what its load came to before anything was lifted
     * @param now what it comes to with what was lifted
     * @param ramp the warm-up to the lift's first load of the day; empty for later slots of the same lift
     */
    public record SlotPlan(Prescription prescription, ResolvedLoad planned, ResolvedLoad now, Optional<Ramp> ramp) {

        /** Whether what was lifted changed this slot's load. */
        public boolean hasMoved() {
            return !planned.load().equals(now.load());
        }
    }

    /**
     * One set to be done.
     *
     * @param before the plates on the bar from the set before it, as that one was really lifted; none where the lift
     *     begins
     * @param loading the bar for it; empty when its load cannot be said
     */
    public record Task(TaskKey key, Lift lift, PlateStack before, Optional<Loading> loading, int reps) {}

    /** The day's plan with what was lifted so far, in the order it was lifted. */
    public static SessionPlan of(Resolver resolver, List<Prescription> day, List<DoneSet> done) {
        List<ResolvedLoad> planned = resolver.resolve(day);
        List<ResolvedLoad> now = resolver.resolve(day, done);
        List<SlotPlan> slots = new ArrayList<>();
        Station station = new Station(resolver, done);
        Set<Lift> begun = new HashSet<>();
        for (int i = 0; i < day.size(); i++) {
            Prescription prescription = day.get(i);
            Optional<Fit> fit =
                    now.get(i) instanceof ResolvedLoad.Known known ? Optional.of(known.fit()) : Optional.empty();
            Optional<Ramp> ramp = begun.add(prescription.lift())
                    ? fit.map(f ->
                            RampPlanner.plan(resolver.kit(prescription.lift()).orElseThrow(), f.load()))
                    : Optional.empty();
            slots.add(new SlotPlan(prescription, planned.get(i), now.get(i), ramp));
            station.add(prescription, ramp, now.get(i));
        }
        return new SessionPlan(slots, station.tasks, next(station.tasks, done));
    }

    /** The bar as it goes through the day, set by set. */
    private static final class Station {

        private final Resolver resolver;
        private final Map<TaskKey, Mass> lifted = new HashMap<>();
        private final List<Task> tasks = new ArrayList<>();
        private PlateStack onTheBar = PlateStack.EMPTY;

        Station(Resolver resolver, List<DoneSet> done) {
            this.resolver = resolver;
            done.forEach(d -> lifted.put(d.task(), d.set().load()));
        }

        void add(Prescription prescription, Optional<Ramp> ramp, ResolvedLoad load) {
            Lift lift = prescription.lift();
            if (tasks.isEmpty() || !tasks.get(tasks.size() - 1).lift().equals(lift)) {
                onTheBar = PlateStack.EMPTY;
            }
            List<RampStep> steps = ramp.map(Ramp::steps).orElse(List.of());
            for (int i = 0; i < steps.size(); i++) {
                TaskKey key = TaskKey.warmUp(prescription.letter(), i + 1);
                add(key, lift, Optional.of(steps.get(i).loading()), steps.get(i).reps());
            }
            int first = prescription.firstSet();
            int end = first + prescription.part().sets() - 1;
            if (prescription.last()) {
                end = Math.max(end, mostLifted(prescription.letter()));
            }
            for (int i = first; i <= end; i++) {
                int set = i - first + 1;
                Optional<Loading> loading = set == 1 && ramp.isPresent()
                        ? ramp.map(Ramp::top)
                        : load instanceof ResolvedLoad.Known known
                                ? loading(lift, known.load(set), resolver.rounding(), onTheBar)
                                : Optional.empty();
                add(
                        TaskKey.work(prescription.letter(), i),
                        lift,
                        loading,
                        prescription.part().reps());
            }
        }

        /** A lifter may do more sets than were asked for. */
        private int mostLifted(String letter) {
            return lifted.keySet().stream()
                    .filter(key -> key.letter().equals(letter) && !key.warmUp())
                    .mapToInt(TaskKey::number)
                    .max()
                    .orElse(0);
        }

        private void add(TaskKey key, Lift lift, Optional<Loading> loading, int reps) {
            tasks.add(new Task(key, lift, onTheBar, loading, reps));
            PlateStack asPlanned = loading.map(Loading::stack).orElse(onTheBar);
            onTheBar = Optional.ofNullable(lifted.get(key))
                    .flatMap(load -> loading(lift, load, Rounding.NEAREST, asPlanned))
                    .map(Loading::stack)
                    .orElse(asPlanned);
        }

        private Optional<Loading> loading(Lift lift, Mass load, Rounding rounding, PlateStack before) {
            return resolver.kit(lift)
                    .map(loads -> loads.fit(load, rounding, before).loading());
        }
    }

    private static Optional<Task> next(List<Task> tasks, List<DoneSet> done) {
        int last = -1;
        for (int i = 0; i < tasks.size(); i++) {
            TaskKey key = tasks.get(i).key();
            if (done.stream().anyMatch(d -> d.task().equals(key))) {
                last = i;
            }
        }
        return last + 1 < tasks.size() ? Optional.of(tasks.get(last + 1)) : Optional.empty();
    }
}
