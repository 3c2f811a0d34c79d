package dev.yarbel.core.session;

import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.equipment.Loader;
import dev.yarbel.core.equipment.Loading;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.ramp.RampPlanner;
import dev.yarbel.core.ramp.RampStep;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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
     * @param loading the bar for it; empty when its load cannot be said
     */
    public record Task(TaskKey key, Lift lift, Optional<Loading> loading, int reps) {}

    /** The day's plan with what was lifted so far, in the order it was lifted. */
    public static SessionPlan of(Resolver resolver, List<Prescription> day, List<DoneSet> done) {
        List<ResolvedLoad> planned = resolver.resolve(day);
        List<ResolvedLoad> now = resolver.resolve(day, done);
        Loader loader = resolver.loader();
        List<SlotPlan> slots = new ArrayList<>();
        List<Task> tasks = new ArrayList<>();
        Map<Lift, PlateStack> onTheBar = new HashMap<>();
        for (int i = 0; i < day.size(); i++) {
            Prescription prescription = day.get(i);
            Lift lift = prescription.lift();
            Optional<Fit> fit =
                    now.get(i) instanceof ResolvedLoad.Known known ? Optional.of(known.fit()) : Optional.empty();
            boolean first = !onTheBar.containsKey(lift);
            Optional<Ramp> ramp = first ? fit.map(f -> RampPlanner.plan(loader, f.load())) : Optional.empty();
            Optional<Loading> loading = first
                    ? ramp.map(Ramp::top)
                    : fit.map(f -> loader.fit(f.load(), resolver.rounding(), onTheBar.get(lift))
                            .loading());
            loading.ifPresent(l -> onTheBar.put(lift, l.stack()));
            slots.add(new SlotPlan(prescription, planned.get(i), now.get(i), ramp));
            addTasks(tasks, prescription, ramp, loading, done);
        }
        return new SessionPlan(slots, tasks, next(tasks, done));
    }

    private static void addTasks(
            List<Task> tasks,
            Prescription prescription,
            Optional<Ramp> ramp,
            Optional<Loading> loading,
            List<DoneSet> done) {
        String letter = prescription.letter();
        List<RampStep> steps = ramp.map(Ramp::steps).orElse(List.of());
        for (int i = 0; i < steps.size(); i++) {
            RampStep step = steps.get(i);
            tasks.add(new Task(
                    TaskKey.warmUp(letter, i + 1), prescription.lift(), Optional.of(step.loading()), step.reps()));
        }
        int extra = (int) done.stream()
                .filter(d -> d.task().letter().equals(letter) && !d.task().warmUp())
                .filter(d -> d.task().number() > prescription.dose().sets())
                .count();
        for (int i = 1; i <= prescription.dose().sets() + extra; i++) {
            tasks.add(new Task(
                    TaskKey.work(letter, i),
                    prescription.lift(),
                    loading,
                    prescription.dose().reps()));
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
