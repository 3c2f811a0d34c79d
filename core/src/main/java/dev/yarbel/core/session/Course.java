package dev.yarbel.core.session;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.record.LiftedSet;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A block worked out for one lifter from its first day to its last: what each day's doses come to, where a load may hang
 * on what was or will be lifted the time before.
 *
 * <p>The time before is the last one with the same lift for as many repetitions, else the last one with the lift at all. A
 * day that was lifted counts with the heaviest work set that was made, and earns a step when every set was made in full;
 * one still to come counts with the load it asks for. A deload week is no time before.
 */
public final class Course {

    /** What was lifted on the days of a block. */
    @FunctionalInterface
    public interface Log {

        /** The sets of a day and week, both from 0; empty when that day has not been finished. */
        Optional<List<DoneSet>> on(int day, int week);

        /** Nothing was lifted. */
        Log NONE = (day, week) -> Optional.empty();
    }

    private record Task(Lift lift, int reps) {}

    /** What was or will be lifted, and whether that earns a step. */
    private record Before(Mass load, boolean earned) {}

    private final Block block;
    private final Resolver resolver;
    private final Log log;
    private final List<List<List<Prescription>>> prescriptions = new ArrayList<>();
    private final List<List<List<ResolvedLoad>>> loads = new ArrayList<>();

    private Course(Block block, Resolver resolver, Log log) {
        this.block = block;
        this.resolver = resolver;
        this.log = log;
    }

    /** Works a block out, when it is first asked; for one thread. */
    public static Course of(Block block, Resolver resolver, Log log) {
        return new Course(block, resolver, log);
    }

    private void work() {
        if (!prescriptions.isEmpty()) {
            return;
        }
        Map<Task, Before> before = new HashMap<>();
        Map<Lift, Before> beforeAtAll = new HashMap<>();
        for (int week = 0; week < block.weeks(); week++) {
            boolean deload = block.shape().get(week).deload();
            List<List<Prescription>> asked = new ArrayList<>();
            List<List<ResolvedLoad>> comesTo = new ArrayList<>();
            for (int day = 0; day < block.days().size(); day++) {
                List<Prescription> today = Prescription.of(block, day, week).stream()
                        .map(p -> Optional.ofNullable(before.get(task(p)))
                                .or(() -> Optional.ofNullable(beforeAtAll.get(p.lift())))
                                .map(b -> p.after(b.load(), b.earned()))
                                .orElse(p))
                        .toList();
                List<ResolvedLoad> todays = resolver.resolve(today);
                asked.add(today);
                comesTo.add(todays);
                Optional<List<DoneSet>> done = log.on(day, week);
                for (int i = 0; i < today.size(); i++) {
                    Prescription prescription = today.get(i);
                    Optional<Before> now = done.isPresent()
                            ? lifted(prescription, done.get())
                            : todays.get(i).load().map(load -> new Before(load, !isRange(prescription.part())));
                    now.filter(b -> !deload).ifPresent(b -> {
                        before.put(task(prescription), b);
                        beforeAtAll.put(prescription.lift(), b);
                    });
                }
            }
            prescriptions.add(asked);
            loads.add(comesTo);
        }
    }

    /** What a day of a week asks for, both from 0. */
    public List<Prescription> prescriptions(int day, int week) {
        work();
        return prescriptions.get(week).get(day);
    }

    /** What that comes to, one for each. */
    public List<ResolvedLoad> loads(int day, int week) {
        work();
        return loads.get(week).get(day);
    }

    private static Task task(Prescription prescription) {
        return new Task(prescription.lift(), prescription.part().reps());
    }

    private static boolean isRange(Part part) {
        return part.work() instanceof Work.Straight straight && straight.isRange();
    }

    private static Optional<Before> lifted(Prescription prescription, List<DoneSet> done) {
        List<LiftedSet> sets = done.stream()
                .filter(d -> prescription.isAnsweredBy(d.task()))
                .map(DoneSet::set)
                .toList();
        Part part = prescription.part();
        int asked = part.work() instanceof Work.Straight straight ? straight.most() : part.reps();
        boolean earned = sets.size() >= part.sets() && sets.stream().allMatch(set -> set.made() && set.reps() >= asked);
        return sets.stream()
                .filter(LiftedSet::made)
                .map(LiftedSet::load)
                .max(Mass::compareTo)
                .map(load -> new Before(load, earned));
    }
}
