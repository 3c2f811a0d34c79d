package dev.yarbel.core.session;

import static dev.yarbel.core.measure.MassUnit.KG;
import static dev.yarbel.core.measure.MassUnit.LB;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.BarKit;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.SessionPlan.SlotPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;

/**
 * Everything Yarbel shows ends on somebody's back: whatever the gym, its unit, the rounding, the dose and how far the day
 * has gone, loads can be loaded or it is said that they cannot, ramps stay within what the lifter can do, and no back-off
 * falls because a set was missed.
 */
class WhatReachesTheBarTest {

    private static final String[] DOSES = {
        "1 @8 then 3x5 -20%",
        "3x5 80%",
        "5x5 70% then 1 @8 then 3x3 -10%",
        "3x8 @8 tempo 4020",
        "6x5 @8",
        "8x2 50% speed",
        "3x10 40%",
        "1 @8 then 4x3 -5% each",
        "climb 8 to @7",
        "3x5 75-80%",
        "3x3 80% +chains 30kg",
        "1 @8 +bands 10/35kg then 3x5 -15%",
        "3x3 @8 reverse 20kg",
        "1x6 120% est lowering",
        "max 75%",
        "10x1 in 10min gap 30 88%"
    };

    @Provide
    Arbitrary<BarLoads> gyms() {
        Arbitrary<String> kg = Combinators.combine(count(), count(), count(), count(), count(), count(), count())
                .as((a, b, c, d, e, f, g) ->
                        "25:" + 2 * a + " 20:" + b + " 15:" + c + " 10:" + d + " 5:" + e + " 2.5:" + f + " 1.25:" + g);
        Arbitrary<String> lb = Combinators.combine(count(), count(), count(), count(), count(), count())
                .as((a, b, c, d, e, f) ->
                        "45:" + 3 * a + " 35:" + b + " 25:" + c + " 10:" + d + " 5:" + e + " 2.5:" + f);
        return Arbitraries.oneOf(
                kg.map(plates -> BarLoads.of(new BarKit(Kits.BAR_20, Mass.ZERO, Kits.plates(KG, plates)))),
                lb.map(plates -> BarLoads.of(new BarKit(Kits.BAR_45_LB, Mass.ofLb(5), Kits.plates(LB, plates)))));
    }

    private static Arbitrary<Integer> count() {
        return Arbitraries.integers().between(0, 2);
    }

    private record Lifter(Resolver resolver, Mass max, BarLoads gym) {

        static Lifter of(BarLoads gym, int kg, Rounding rounding) {
            Mass max = Mass.ofKg(kg);
            LiftNumbers numbers =
                    new LiftNumbers(Optional.of(max.times(Percent.of(95))), Optional.of(max), RepCurve.DEFAULT);
            return new Lifter(
                    new Resolver(
                            KitInUse.of(gym),
                            rounding,
                            Numbers.of(Map.of(Lift.SQUAT, numbers, Lift.DEADLIFT, numbers))),
                    max,
                    gym);
        }
    }

    @Property(tries = 600)
    void everythingCanBeLoadedAndRampsStayWithinTheLifter(
            @ForAll("gyms") BarLoads gym,
            @ForAll @IntRange(min = 40, max = 300) int max,
            @ForAll Rounding rounding,
            @ForAll boolean pull,
            @ForAll @IntRange(min = 0, max = 15) int one,
            @ForAll @IntRange(min = 0, max = 15) int other,
            @ForAll @IntRange(min = 0, max = 12) int lifted) {
        Lifter lifter = Lifter.of(gym, max, rounding);
        Lift lift = pull ? Lift.DEADLIFT : Lift.SQUAT;
        List<PrescribedSets> day = new ArrayList<>(PrescribedSets.of("A", lift, Dose.parse(DOSES[one])));
        day.addAll(PrescribedSets.of("B", lift, Dose.parse(DOSES[other])));
        List<DoneSet> done = new ArrayList<>();
        SessionPlan plan = SessionPlan.of(lifter.resolver, day, done);
        for (int set = 0; set < lifted && plan.next().isPresent(); set++) {
            check(lifter, plan);
            done.add(lift(plan.next().get(), set));
            plan = SessionPlan.of(lifter.resolver, day, done);
        }
        check(lifter, plan);
    }

    /** Every fourth work set is missed. */
    private static DoneSet lift(Task task, int at) {
        Mass load = task.loading().map(LoadedBar::total).orElse(Mass.ofKg(20));
        boolean missed = !task.key().warmUp() && at % 4 == 3;
        Effort effort = missed ? new Effort.Missed() : new Effort.Rated(Rpe.of(8));
        return new DoneSet(task.key(), new LiftedSet(task.lift(), load, missed ? 0 : task.reps(), effort));
    }

    private static void check(Lifter lifter, SessionPlan plan) {
        for (Task task : plan.tasks()) {
            task.loading().ifPresent(loading -> {
                assertThat(lifter.gym.canLoad(loading.total()))
                        .as("%s %s", task.key(), loading.total())
                        .isTrue();
                assertThat(lifter.gym.kit().base().plus(loading.stack().mass().times(2)))
                        .isEqualTo(loading.total());
            });
        }
        for (SlotPlan slot : plan.slots()) {
            if (slot.now() instanceof ResolvedLoad.Known known) {
                boolean outside = known.fit().asked().isLessThan(lifter.gym.lightest())
                        || known.fit().asked().isGreaterThan(lifter.gym.heaviest());
                assertThat(known.fit().limit() != Fit.Limit.NONE).isEqualTo(outside);
            }
            slot.ramp().ifPresent(ramp -> ramp(lifter, slot, ramp));
        }
        assertThat(plan.tasks()).extracting(task -> task.key().toString()).doesNotHaveDuplicates();
    }

    private static void ramp(Lifter lifter, SlotPlan slot, Ramp ramp) {
        Mass top = ramp.top().total();
        assertThat(ramp.steps())
                .as("%s", slot.prescription().part().shorthand())
                .allMatch(step -> step.load().isLessThan(top));
        if (top.isGreaterThan(lifter.max)
                && slot.prescription().part().changing().isEmpty()
                && slot.prescription().part().basis().isAboveMax()) {
            assertThat(ramp.remarks()).contains(Ramp.Remark.HANDLED);
            assertThat(ramp.steps()).allMatch(step -> !step.load().isGreaterThan(lifter.max));
        }
    }

    /** However the sets of a day go, a back-off is never lighter than the same share of what was made before the top. */
    @Property(tries = 300)
    void noBackOffFallsBecauseASetWasMissed(
            @ForAll("gyms") BarLoads gym,
            @ForAll @IntRange(min = 80, max = 300) int max,
            @ForAll @IntRange(min = 5, max = 30) int drop,
            @ForAll List<Boolean> luck) {
        Lifter lifter = Lifter.of(gym, max, Rounding.NEAREST);
        List<PrescribedSets> day = PrescribedSets.of("A", Lift.SQUAT, Dose.parse("1 90% then 5x5 -" + drop + "%"));
        Mass made = gym.round(lifter.max.times(Percent.of(80)), Rounding.NEAREST);
        List<DoneSet> done = new ArrayList<>(List.of(
                new DoneSet(TaskKey.warmUp("A", 1), new LiftedSet(Lift.SQUAT, made, 1, new Effort.Rated(Rpe.of(7)))),
                new DoneSet(
                        TaskKey.work("A", 1),
                        new LiftedSet(Lift.SQUAT, lifter.max.times(Percent.of(90)), 0, new Effort.Missed()))));
        Mass first = lifter.resolver.resolve(day, done).get(1).load().orElseThrow();
        for (int set = 0; set < Math.min(5, luck.size()); set++) {
            Effort effort = luck.get(set) ? new Effort.Rated(Rpe.of(9)) : new Effort.Missed();
            done.add(new DoneSet(
                    TaskKey.work("A", set + 2), new LiftedSet(Lift.SQUAT, first, luck.get(set) ? 5 : 2, effort)));
            assertThat(lifter.resolver.resolve(day, done).get(1).load()).contains(first);
        }
    }
}
