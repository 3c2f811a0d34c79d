package dev.yarbel.core.session;

import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.ramp.Ramp;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * One day on the floor: each slot with its ramp and its sets, as planned and as the sets lifted so far make it.
 *
 * @param slots in the order they are trained
 * @param tasks all sets to be done, in order; slots of one group take turns
 * @param open those still to be done, in the same order; one that was passed over is not among them
 * @param next the set to do now; empty when none is left
 * @param question what the last set raised and nobody has answered
 */
public record SessionPlan(
        List<SlotPlan> slots, List<Task> tasks, List<Task> open, Optional<Task> next, Optional<Question> question) {

    public SessionPlan {
        slots = List.copyOf(slots);
        tasks = List.copyOf(tasks);
        open = List.copyOf(open);
    }

    /**
     * One slot of the day.
     *
     * @param planned what its load came to before anything was lifted
     * @param now what it comes to with what was lifted
     * @param ramp the warm-ups to its first load; empty where the lift was done with as much before
     */
    public record SlotPlan(PrescribedSets prescription, ResolvedLoad planned, ResolvedLoad now, Optional<Ramp> ramp) {

        /** Whether what was lifted changed this slot's load. */
        public boolean hasMoved() {
            return !planned.load().equals(now.load());
        }
    }

    /** Where the load of a set comes from. */
    public enum Because {
        /** What the dose asks for comes to it. */
        ASKED,
        /** The rating of the set before it. */
        LAST_SET,
        /** The same, allowing for how the lifter's ratings lean. */
        LAST_SET_AS_MEANT,
        /** Somebody decided so on the floor. */
        DECIDED
    }

    /**
     * One set to be done.
     *
     * @param asked the part of the day it belongs to
     * @param before the plates on the bar from the set before it, as that one was really lifted; none where the lift
     *     begins
     * @param loading the bar for it; empty when its load cannot be said
     * @param because where the load comes from
     * @param last no set of its part follows
     */
    public record Task(
            TaskKey key,
            PrescribedSets asked,
            PlateStack before,
            Optional<LoadedBar> loading,
            int reps,
            Because because,
            boolean last) {

        public Lift lift() {
            return asked.lift();
        }

        /** Its number among those of its kind: warm-ups of a slot, work sets of a part. */
        public int number() {
            return key.warmUp() ? key.number() : key.number() - asked.firstSet() + 1;
        }

        private boolean isOfTheSameKind(Task other) {
            return key.warmUp()
                    ? other.key.warmUp() && other.key.letter().equals(key.letter())
                    : !other.key.warmUp() && other.asked.equals(asked);
        }

        /** The same with these plates on the bar when it comes. */
        Task on(PlateStack stack) {
            return new Task(key, asked, stack, loading, reps, because, last);
        }
    }

    /** The day's plan with what was lifted so far, in the order it was lifted, as nobody changed it. */
    public static SessionPlan of(Resolver resolver, List<PrescribedSets> day, List<DoneSet> done) {
        return of(resolver, FloorRules.PLAIN, Amended.of(day, List.of()), done);
    }

    /** The day's plan with the changes made to it and what was lifted so far, in the order it was lifted. */
    public static SessionPlan of(Resolver resolver, FloorRules rules, Amended amended, List<DoneSet> done) {
        List<PrescribedSets> day = amended.day();
        List<ResolvedLoad> planned = resolver.resolve(day);
        List<ResolvedLoad> now = resolver.resolve(day, done);
        List<SlotPlan> slots = new ArrayList<>();
        BarSequence stations = new BarSequence(resolver, rules, amended, done);
        WarmUps warmUps = new WarmUps(resolver, rules, day, now, done);
        for (int i = 0; i < day.size(); i++) {
            PrescribedSets prescription = day.get(i);
            Optional<Ramp> ramp = warmUps.to(i, stations.onTheBarOf(prescription));
            SlotPlan slot = new SlotPlan(prescription, planned.get(i), now.get(i), ramp);
            slots.add(slot);
            stations.add(slot);
        }
        List<Task> inTurn = inTurn(stations.tasks());
        List<Task> tasks = stations.followed(inTurn, open(inTurn, done));
        Optional<Question> question = new Questions(resolver, rules, slots, tasks, amended).after(done);
        List<Task> open = open(tasks, done);
        return new SessionPlan(slots, tasks, open, next(tasks, open, done), question);
    }

    /** Slots of one group take turns: first all their warm-ups, then the first set of each, the second of each. */
    private static List<Task> inTurn(List<Task> tasks) {
        List<Task> inTurn = new ArrayList<>();
        int from = 0;
        while (from < tasks.size()) {
            int to = from;
            String group = tasks.get(from).asked().group();
            while (to < tasks.size() && tasks.get(to).asked().group().equals(group)) {
                to++;
            }
            tasks.subList(from, to).stream()
                    .sorted(Comparator.comparingInt(SessionPlan::turn))
                    .forEach(inTurn::add);
            from = to;
        }
        return inTurn;
    }

    /** When a set has its turn among those of its group: warm-ups just before the first set of the part they lead to. */
    private static int turn(Task task) {
        if (!task.key().warmUp()) {
            return 2 * task.key().number();
        }
        return task.asked().firstSet() == 1 ? 0 : 2 * task.asked().firstSet() - 1;
    }

    /** How many sets there are of a set's kind. */
    public int ofItsKind(Task task) {
        return (int) tasks.stream().filter(task::isOfTheSameKind).count();
    }

    /** The sets still to be done: those not done and not passed over. */
    private static List<Task> open(List<Task> tasks, List<DoneSet> done) {
        Set<TaskKey> keys = done.stream().map(DoneSet::task).collect(Collectors.toSet());
        Set<TaskKey> known = tasks.stream().map(Task::key).collect(Collectors.toSet());
        List<TaskKey> elsewhere =
                keys.stream().filter(key -> !known.contains(key)).toList();
        Set<TaskKey> passed = tasks.stream()
                .filter(task -> keys.contains(task.key()))
                .flatMap(task -> passedBy(tasks, task))
                .collect(Collectors.toSet());
        return tasks.stream()
                .filter(task -> !keys.contains(task.key()) && !passed.contains(task.key()))
                .filter(task -> elsewhere.stream().noneMatch(key -> key.isAfter(task.key())))
                .toList();
    }

    /** A set is passed over when a later one of its slot or of its lift was done. */
    private static Stream<TaskKey> passedBy(List<Task> tasks, Task done) {
        return tasks.subList(0, tasks.indexOf(done)).stream()
                .filter(task -> task.lift().equals(done.lift())
                        || task.key().letter().equals(done.key().letter()))
                .map(Task::key);
    }

    /**
     * The sets that nobody will do any more once a set of the day is done: those that are passed over, and after a miss the
     * rest of a part that a miss ends.
     */
    public List<TaskKey> endedBy(Task task, boolean missed) {
        Stream<TaskKey> rest =
                missed && !task.key().warmUp() && task.asked().part().work().endsOnMiss()
                        ? tasks.stream()
                                .filter(other -> other.asked().equals(task.asked()))
                                .map(Task::key)
                        : Stream.empty();
        return Stream.concat(passedBy(tasks, task), rest)
                .filter(key -> !key.equals(task.key()))
                .distinct()
                .toList();
    }

    /**
     * The first set that is still open in the group lifted from last, else the first one of the day.
     */
    private static Optional<Task> next(List<Task> tasks, List<Task> open, List<DoneSet> done) {
        if (done.isEmpty()) {
            return open.stream().findFirst();
        }
        TaskKey last = done.get(done.size() - 1).task();
        Optional<String> group = tasks.stream()
                .filter(task -> task.key().letter().equals(last.letter()))
                .map(task -> task.asked().group())
                .findFirst();
        return open.stream()
                .filter(task -> group.filter(task.asked().group()::equals).isPresent())
                .findFirst()
                .or(() -> open.stream().findFirst());
    }
}
