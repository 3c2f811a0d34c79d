package dev.yarbel.core.session;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.ramp.RampStep;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.SessionPlan.Because;
import dev.yarbel.core.session.SessionPlan.SlotPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** Lays out the sets of a day and follows the bars through it, set by set: what is on each when the next set comes. */
final class BarSequence {

    /** Climbing sets begin this far below where they are expected to end, and go up by this much; starting values of ours. */
    private static final Percent FIRST_OF_A_CLIMB = Percent.of(85);

    private static final Percent CLIMBS_BY = Percent.of(5);
    private static final int MOST_CLIMBS = 12;
    private static final int MOST_GOES = 50;
    /** A set asked for by its rating moves the next one when it rated this many half points off. */
    private static final int HALVES_THAT_MOVE = 2;

    private final Resolver resolver;
    private final FloorRules rules;
    private final Amended amended;
    private final List<DoneSet> done;
    private final Map<TaskKey, LiftedSet> lifted = new HashMap<>();
    private final List<Task> tasks = new ArrayList<>();
    private PlateStack onTheBar = PlateStack.EMPTY;
    private Optional<Lift> lastLift = Optional.empty();

    BarSequence(Resolver resolver, FloorRules rules, Amended amended, List<DoneSet> done) {
        this.resolver = resolver;
        this.rules = rules;
        this.amended = amended;
        this.done = done;
        done.forEach(d -> lifted.put(d.task(), d.set()));
    }

    /** All sets laid out so far, slot by slot. */
    List<Task> tasks() {
        return tasks;
    }

    void add(SlotPlan slot) {
        PrescribedSets prescription = slot.prescription();
        onTheBar = onTheBarOf(prescription);
        lastLift = Optional.of(prescription.lift());
        if (prescription.sets() > 0) {
            addWarmUps(prescription, slot.ramp());
        }
        int end = end(prescription);
        for (int number = prescription.firstSet(); number <= end; number++) {
            TaskKey key = TaskKey.work(prescription.letter(), number);
            Because because = because(prescription, key, slot.now());
            add(key, prescription, loading(slot, key, because), because, number == end);
        }
    }

    /** The plates on the bar for a part from the part before it: those of the same lift; another lift begins with its own. */
    PlateStack onTheBarOf(PrescribedSets prescription) {
        return lastLift.filter(prescription.lift()::equals).isPresent() ? onTheBar : PlateStack.EMPTY;
    }

    private void addWarmUps(PrescribedSets prescription, Optional<Ramp> ramp) {
        List<RampStep> steps = new ArrayList<>(ramp.map(Ramp::steps).orElse(List.of()));
        List<Amendment.Step> added = prescription.firstSet() == 1 ? amended.steps(prescription.letter()) : List.of();
        for (Amendment.Step more : added) {
            loading(prescription.lift(), more.load(), resolver.rounding(), onTheBar)
                    .ifPresent(loading -> steps.add(new RampStep(loading, more.reps())));
        }
        steps.sort(Comparator.comparing(RampStep::load));
        int before = (int) tasks.stream()
                .map(Task::key)
                .filter(key -> key.warmUp() && key.letter().equals(prescription.letter()))
                .count();
        for (int i = 0; i < steps.size(); i++) {
            RampStep step = steps.get(i);
            TaskKey key = TaskKey.warmUp(prescription.letter(), before + i + 1);
            add(key, prescription, Optional.of(step.loading()), step.reps(), Because.ASKED, i == steps.size() - 1);
        }
    }

    /** The number of the last set: as asked, as the day has it so far, and as many as were really done. */
    private int end(PrescribedSets prescription) {
        int first = prescription.firstSet();
        int asked = first + prescription.sets() - 1;
        List<DoneSet> ofPart =
                done.stream().filter(d -> prescription.isAnsweredBy(d.task())).toList();
        int last = ofPart.stream().mapToInt(d -> d.task().number()).max().orElse(first - 1);
        if (prescription.sets() > 0 && !ofPart.isEmpty()) {
            asked = prescription.part().work().accept(new End(prescription, ofPart, last, asked));
        }
        return prescription.last() ? Math.max(asked, last) : asked;
    }

    /**
     * The number of the last set after some were done, by how sets are built.
     *
     * @param ofPart what was done of the part
     * @param last the number of the last set done
     * @param asked the number of the last set asked for beforehand
     */
    private record End(PrescribedSets prescription, List<DoneSet> ofPart, int last, int asked)
            implements Work.Visitor<Integer> {

        @Override
        public Integer straight(Work.Straight straight) {
            return asked;
        }

        @Override
        public Integer toLimit(Work.ToLimit toLimit) {
            return asked;
        }

        @Override
        public Integer climb(Work.Climb climb) {
            return until(climb.until());
        }

        @Override
        public Integer clusters(Work.Clusters clusters) {
            return asked;
        }

        @Override
        public Integer density(Work.Density density) {
            if (density.endsOnMiss() && ofPart.stream().anyMatch(d -> !d.set().made())) {
                return last;
            }
            return density.beyond() && last >= asked && done() < MOST_GOES ? last + 1 : asked;
        }

        @Override
        public Integer until(Work.Until until) {
            return until(until.until());
        }

        @Override
        public Integer inAll(Work.InAll inAll) {
            return left(prescription, ofPart) > 0 && done() < MOST_GOES ? last + 1 : last;
        }

        @Override
        public Integer repsInTime(Work.RepsInTime repsInTime) {
            return asked;
        }

        @Override
        public Integer hold(Work.Hold hold) {
            return asked;
        }

        @Override
        public Integer carry(Work.Carry carry) {
            return asked;
        }

        @Override
        public Integer rounds(Work.Rounds rounds) {
            return asked;
        }

        @Override
        public Integer preparation(Work.Preparation preparation) {
            return asked;
        }

        private int until(Rpe rating) {
            boolean there = reached(ofPart.get(ofPart.size() - 1).set(), rating);
            return there || done() >= MOST_CLIMBS ? last : last + 1;
        }

        private int done() {
            return last - prescription.firstSet() + 1;
        }
    }

    /** The repetitions a set asks for; of a number in all, those still to be done before it. */
    private int reps(TaskKey key, PrescribedSets asked) {
        if (!asked.part().work().isInAll()) {
            return asked.part().reps();
        }
        List<DoneSet> before = done.stream()
                .filter(d -> asked.isAnsweredBy(d.task()) && d.task().number() < key.number())
                .toList();
        return Math.max(1, left(asked, before));
    }

    /** The repetitions still to be done of a number in all. */
    private static int left(PrescribedSets prescription, List<DoneSet> ofPart) {
        return prescription.part().reps()
                - ofPart.stream().mapToInt(d -> d.set().reps()).sum();
    }

    private static boolean reached(LiftedSet set, Rpe until) {
        return !set.made()
                || set.effort()
                        .rating()
                        .filter(rpe -> rpe.compareTo(until) >= 0)
                        .isPresent();
    }

    private Because because(PrescribedSets prescription, TaskKey key, ResolvedLoad load) {
        if (amended.load(key).isPresent()) {
            return Because.DECIDED;
        }
        if (load.known().isEmpty() || fromLast(prescription, key).isEmpty()) {
            return Because.ASKED;
        }
        return isHeardAsSaid(prescription, key) ? Because.LAST_SET : Because.LAST_SET_AS_MEANT;
    }

    private Optional<LoadedBar> loading(SlotPlan slot, TaskKey key, Because because) {
        PrescribedSets prescription = slot.prescription();
        Lift lift = prescription.lift();
        if (because == Because.DECIDED) {
            return loading(lift, amended.load(key).orElseThrow(), resolver.rounding(), onTheBar);
        }
        if (slot.now().known().isEmpty()) {
            return Optional.empty();
        }
        ResolvedLoad.Known known = slot.now().known().get();
        int set = key.number() - prescription.firstSet() + 1;
        if (because != Because.ASKED) {
            return loading(lift, fromLast(prescription, key).orElseThrow(), resolver.rounding(), onTheBar);
        }
        if (prescription.part().work().isClimb()) {
            if (set == 1 && slot.ramp().isPresent()) {
                return slot.ramp().map(Ramp::top);
            }
            Percent share = FIRST_OF_A_CLIMB.plus(CLIMBS_BY.times(Percent.of(100L * (set - 1))));
            Percent most = share.isGreaterThan(Percent.HUNDRED) ? Percent.HUNDRED : share;
            return loading(lift, known.fit().load().times(most), resolver.rounding(), onTheBar);
        }
        return set == 1
                        && slot.ramp().isPresent()
                        && amended.steps(prescription.letter()).isEmpty()
                ? slot.ramp().map(Ramp::top)
                : loading(lift, known.load(set), resolver.rounding(), onTheBar);
    }

    /** The load of the first set of a part, as it can be loaded; empty where it cannot be said. */
    static Optional<Mass> firstLoad(Resolver resolver, PrescribedSets prescription, ResolvedLoad load) {
        return load.load()
                .flatMap(mass -> prescription.part().work().isClimb()
                        ? resolver.kit(prescription.lift())
                                .map(loads -> loads.round(mass.times(FIRST_OF_A_CLIMB), resolver.rounding()))
                        : Optional.of(mass));
    }

    /**
     * The same sets, each with the plates that are on its bar when it comes: bars are followed through the whole session, as
     * it went and as it will go. Lifts done on the same bar leave their plates to one another; those that take turns have
     * bars of their own.
     */
    List<Task> followed(List<Task> inTurn, List<Task> open) {
        Map<String, Integer> slotsOfGroup = new HashMap<>();
        inTurn.stream()
                .map(Task::asked)
                .map(asked -> asked.group() + " " + asked.letter())
                .distinct()
                .forEach(slot -> slotsOfGroup.merge(slot.split(" ")[0], 1, Integer::sum));
        Map<TaskKey, PlateStack> before = new HashMap<>();
        Map<Object, PlateStack> bars = new HashMap<>();
        Map<TaskKey, Task> byKey = new HashMap<>();
        inTurn.forEach(task -> byKey.put(task.key(), task));
        List<Task> order = new ArrayList<>();
        done.stream().map(d -> byKey.get(d.task())).filter(Objects::nonNull).forEach(order::add);
        open.stream().filter(this::isChosen).forEach(order::add);
        open.stream().filter(task -> !isChosen(task)).forEach(order::add);
        for (Task task : order) {
            Optional<AvailableLoads> kit = resolver.kit(task.lift());
            if (kit.isPresent()) {
                boolean inTurns = slotsOfGroup.getOrDefault(task.asked().group(), 1) > 1;
                Object bar = inTurns ? List.of(kit.get(), task.key().letter()) : kit.get();
                PlateStack on = bars.getOrDefault(bar, PlateStack.EMPTY);
                before.putIfAbsent(task.key(), on);
                bars.put(bar, after(task, on));
            }
        }
        return inTurn.stream()
                .map(task -> task.on(before.getOrDefault(task.key(), task.before())))
                .toList();
    }

    private boolean isChosen(Task task) {
        return rules.chosen().filter(task.key().letter()::equals).isPresent();
    }

    private PlateStack after(Task task, PlateStack on) {
        PlateStack asPlanned = task.loading().map(LoadedBar::stack).orElse(on);
        return Optional.ofNullable(lifted.get(task.key()))
                .flatMap(set -> loading(task.lift(), set.load(), Rounding.NEAREST, asPlanned))
                .map(LoadedBar::stack)
                .orElse(asPlanned);
    }

    /** The load that the set before this one speaks for, where it moves this one; a lift that is held goes no higher. */
    private Optional<Mass> fromLast(PrescribedSets prescription, TaskKey key) {
        Optional<Mass> next = spokenFor(prescription, key);
        return rules.held().contains(prescription.lift())
                ? next.map(load -> Mass.min(
                        load,
                        lifted.get(TaskKey.work(key.letter(), key.number() - 1)).load()))
                : next;
    }

    private Optional<Mass> spokenFor(PrescribedSets prescription, TaskKey key) {
        TaskKey before = TaskKey.work(key.letter(), Math.max(1, key.number() - 1));
        LiftedSet last = lifted.get(before);
        if (last == null
                || key.number() == prescription.firstSet()
                || lifted.containsKey(key)
                || !last.lift().equals(prescription.lift())) {
            return Optional.empty();
        }
        LiftNumbers numbers = resolver.numbers(prescription.lift());
        Part part = prescription.part();
        // what climbs stops by what is said, and goes up by it
        if (part.work().climbsTo().isPresent()) {
            return NextLoad.after(last, part.reps(), part.work().climbsTo().get(), numbers.curve(), NextLoad.CLIMB)
                    .map(next -> Mass.max(next, stepUp(prescription.lift(), last.load())));
        }
        return part.basis().rating().flatMap(asked -> {
            LiftedSet heard = numbers.heard(last, asked);
            return Math.abs(halvesOver(heard, part.basis())) >= HALVES_THAT_MOVE
                    ? NextLoad.after(heard, part.reps(), asked, numbers.curve(), NextLoad.UP)
                    : Optional.empty();
        });
    }

    private boolean isHeardAsSaid(PrescribedSets prescription, TaskKey key) {
        LiftedSet last = lifted.get(TaskKey.work(key.letter(), Math.max(1, key.number() - 1)));
        return prescription.part().work().climbsTo().isPresent()
                || prescription
                        .part()
                        .basis()
                        .rating()
                        .filter(asked -> !resolver.numbers(prescription.lift())
                                .heard(last, asked)
                                .equals(last))
                        .isEmpty();
    }

    private Mass stepUp(Lift lift, Mass load) {
        return resolver.kit(lift).map(loads -> load.plus(loads.stepAt(load))).orElse(load);
    }

    /** How much harder than asked a set rated, in half points; below zero: easier. A miss is two points over. */
    static int halvesOver(LiftedSet set, LoadBasis asked) {
        if (!set.made()) {
            return 4;
        }
        int most = asked.rating().orElseThrow().halvesLeft();
        int left = set.effort()
                .rating()
                .map(Rpe::halvesLeft)
                .orElse(set.effort().isMoreThanFourLeft() ? Rpe.LOWEST_THAT_ESTIMATES.halvesLeft() + 1 : most);
        return left < most
                ? most - left
                : Math.min(0, asked.leastRating().orElseThrow().halvesLeft() - left);
    }

    private void add(TaskKey key, PrescribedSets asked, Optional<LoadedBar> loading, Because because, boolean last) {
        add(key, asked, loading, reps(key, asked), because, last);
    }

    private void add(
            TaskKey key, PrescribedSets asked, Optional<LoadedBar> loading, int reps, Because because, boolean last) {
        tasks.add(new Task(key, asked, onTheBar, loading, reps, because, last));
        PlateStack asPlanned = loading.map(LoadedBar::stack).orElse(onTheBar);
        onTheBar = Optional.ofNullable(lifted.get(key))
                .flatMap(set -> loading(asked.lift(), set.load(), Rounding.NEAREST, asPlanned))
                .map(LoadedBar::stack)
                .orElse(asPlanned);
    }

    private Optional<LoadedBar> loading(Lift lift, Mass load, Rounding rounding, PlateStack before) {
        Optional<AvailableLoads> kit = resolver.kit(lift);
        return kit.map(loads -> loads.fit(load, rounding, before).loading());
    }
}
