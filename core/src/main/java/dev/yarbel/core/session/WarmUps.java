package dev.yarbel.core.session;

import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.ramp.RampKind;
import dev.yarbel.core.ramp.RampPlanner;
import dev.yarbel.core.ramp.Start;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Which warm-ups belong before each part of a day: to every load that is heavier than what the lift has been done with so
 * far, from there upwards.
 *
 * <p>What has been done so far is what comes before in the plan, or was really lifted before: a slot that is done early is
 * cold when nothing was lifted, and one that another lift of its family, heavier, went before needs nothing. Work at 55 % of
 * the max and below is light; work beyond the max is warmed up to 93 % of it and handled from there (starting values of
 * ours).
 */
final class WarmUps {

    private static final Percent LIGHT_UNDER = Percent.of(55);
    private static final Percent ABILITY = Percent.of(93);
    private static final int MOST_DOWN = 3;

    private final Resolver resolver;
    private final FloorRules rules;
    private final List<PrescribedSets> day;
    private final List<ResolvedLoad> loads;
    private final List<DoneSet> done;

    WarmUps(
            Resolver resolver,
            FloorRules rules,
            List<PrescribedSets> day,
            List<ResolvedLoad> loads,
            List<DoneSet> done) {
        this.resolver = resolver;
        this.rules = rules;
        this.day = day;
        this.loads = loads;
        this.done = done;
    }

    /** A lift that was or will have been done before, and the heaviest load of it. */
    private record Before(Lift lift, Mass load) {}

    /**
     * The warm-ups to a part of the day; empty where none belong there.
     *
     * @param onTheBar the plates on its bar from the part before it
     */
    Optional<Ramp> to(int index, PlateStack onTheBar) {
        PrescribedSets asked = day.get(index);
        Optional<Mass> top = top(index);
        if (asked.sets() == 0 || top.isEmpty() || !needsAny(asked)) {
            return Optional.empty();
        }
        List<Before> before = before(index);
        Optional<Mass> warm = before.stream()
                .filter(other -> other.lift.equals(asked.lift()))
                .map(Before::load)
                .max(Mass::compareTo);
        boolean kinHeavier = before.stream()
                .anyMatch(other -> rules.isKin(other.lift, asked.lift()) && !other.load.isLessThan(top.get()));
        if (kinHeavier || warm.filter(load -> !load.isLessThan(top.get())).isPresent()) {
            return Optional.empty();
        }
        AvailableLoads kit = resolver.kit(asked.lift()).orElseThrow();
        Start start = Start.COLD
                .then(down(index, top.get()))
                .fromTheFloor(resolver.catalogue().isPulledFromTheFloor(asked.lift()));
        if (warm.isPresent()) {
            start = start.after(warm.get(), onTheBar);
        }
        LiftNumbers numbers = resolver.numbers(asked.lift());
        Optional<Mass> max = numbers.estimate().or(numbers::workingMax);
        Mass plain = Demand.of(asked, numbers).plain(top.get());
        boolean counted = asked.part().work().countsReps() && !asked.part().is(SetModifier.PARTIAL);
        if (counted
                && max.filter(plain::isGreaterThan).isPresent()
                && asked.part().basis().isAboveMax()) {
            return Optional.of(RampPlanner.beyond(kit, top.get(), max.get().times(ABILITY), start));
        }
        boolean light =
                max.filter(m -> !plain.isGreaterThan(m.times(LIGHT_UNDER))).isPresent();
        return Optional.of(RampPlanner.plan(kit, top.get(), kind(asked, light, before), start));
    }

    private boolean needsAny(PrescribedSets asked) {
        Part part = asked.part();
        return !part.work().isPreparation()
                && implement(asked).made() != Implement.Made.FREELY
                && (!part.basis().isByFeel() || part.work().isClimb());
    }

    private Implement implement(PrescribedSets asked) {
        return resolver.catalogue().of(asked.lift()).implement();
    }

    private RampKind kind(PrescribedSets asked, boolean light, List<Before> before) {
        Part part = asked.part();
        if (!part.work().countsReps()) {
            return RampKind.RUNS;
        }
        if (part.is(SetModifier.SPEED)) {
            return RampKind.SPEED;
        }
        if (implement(asked).made() == Implement.Made.STACK) {
            return RampKind.MACHINE;
        }
        if (light) {
            return RampKind.LIGHT;
        }
        boolean warm = before.stream().anyMatch(other -> rules.warms(other.lift, asked.lift()));
        if (warm) {
            return RampKind.WARM;
        }
        return rules.even() ? RampKind.EVEN : RampKind.SHRINKING;
    }

    /** The load of the first set of a part; of climbing sets where the climb begins. */
    private Optional<Mass> top(int index) {
        return BarSequence.firstLoad(resolver, day.get(index), loads.get(index));
    }

    /** The loads that follow on the same bar, lighter than the top. */
    private List<Mass> down(int index, Mass top) {
        List<Mass> down = new ArrayList<>();
        Lift lift = day.get(index).lift();
        for (int i = index; i < day.size() && day.get(i).lift().equals(lift); i++) {
            if (loads.get(i).known().isPresent()) {
                ResolvedLoad.Known known = loads.get(i).known().get();
                int sets = known.steps().isEmpty() ? 1 : known.steps().size();
                for (int set = 1; set <= sets && down.size() < MOST_DOWN; set++) {
                    Mass load = known.load(set);
                    Mass last = down.isEmpty() ? top : down.get(down.size() - 1);
                    if (load.isLessThan(last)) {
                        down.add(load);
                    }
                }
            }
        }
        return down;
    }

    /** What comes before a part: what was lifted before its first set, and what of the plan is still to be done before it. */
    private List<Before> before(int index) {
        PrescribedSets asked = day.get(index);
        List<Before> before = new ArrayList<>();
        int first = firstOf(asked.letter());
        for (DoneSet each : done.subList(0, first)) {
            if (!each.task().letter().equals(asked.letter())
                    && each.set().load().isPositive()) {
                before.add(new Before(each.set().lift(), each.set().load()));
            }
        }
        boolean begun = first < done.size();
        boolean early = begun || rules.chosen().filter(asked.letter()::equals).isPresent();
        for (int i = 0; i < index; i++) {
            PrescribedSets other = day.get(i);
            boolean own = other.letter().equals(asked.letter());
            if (other.sets() > 0 && (own || !early)) {
                heaviest(i).ifPresent(load -> before.add(new Before(other.lift(), load)));
            }
        }
        return before;
    }

    /** The heaviest load of a part; of climbing sets where the climb is expected to end. */
    private Optional<Mass> heaviest(int index) {
        return day.get(index).part().work().isPreparation()
                ? Optional.of(Mass.ZERO)
                : loads.get(index).load();
    }

    /** Where in the sets lifted the first one of a slot stands; behind the last where there is none. */
    private int firstOf(String letter) {
        for (int i = 0; i < done.size(); i++) {
            if (done.get(i).task().letter().equals(letter)) {
                return i;
            }
        }
        return done.size();
    }
}
