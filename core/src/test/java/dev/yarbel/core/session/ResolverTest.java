package dev.yarbel.core.session;

import static dev.yarbel.core.measure.MassUnit.KG;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.record.LiftedSet;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class ResolverTest {

    private static final Resolver KG_LIFTER = new Resolver(
            KitInUse.of(Kits.kg()),
            Rounding.NEAREST,
            Numbers.of(Map.of(
                    Lift.SQUAT,
                    new LiftNumbers(Optional.of(Mass.ofKg(180)), Optional.of(Mass.ofKg(190)), RepCurve.DEFAULT))));

    private static PrescribedSets squat(String letter, String dose) {
        return new PrescribedSets(letter, Lift.SQUAT, Dose.parse(dose));
    }

    private static DoneSet done(String task, String kg, int reps, String effort) {
        return new DoneSet(TaskKey.parse(task), new LiftedSet(Lift.SQUAT, Mass.of(kg, KG), reps, Effort.parse(effort)));
    }

    private static ResolvedLoad second(List<DoneSet> done) {
        return KG_LIFTER
                .resolve(List.of(squat("A", "1 @8"), squat("B", "5x5 -22%")), done)
                .get(1);
    }

    @Test
    void aRatingIsAboutAShareOfTodaysEstimate() {
        ResolvedLoad load = KG_LIFTER.resolve(List.of(squat("A", "1 @8"))).get(0);
        // 190 kg / (1 + 0.0364 · 2) = 177.1 kg
        assertThat(load.load()).contains(Mass.of("177.5", KG));
        assertThat(load.isAbout()).isTrue();
    }

    @Test
    void aPercentageHangsOnTheWorkingMaxAndNotOnTheEstimate() {
        ResolvedLoad load = KG_LIFTER.resolve(List.of(squat("A", "3x5 75%"))).get(0);
        assertThat(load.load()).contains(Mass.ofKg(135));
        assertThat(load.isAbout()).isFalse();
        assertThat(((ResolvedLoad.Known) load).origin())
                .isEqualTo(new ResolvedLoad.Origin.FromWorkingMax(Mass.ofKg(180), Percent.of(75)));
    }

    /** Common practice, no source: a single at 500 and back-offs 22 % lighter are 390. */
    @Test
    void backOffsHangOnWhatWasLifted() {
        Resolver lb = new Resolver(KitInUse.of(Kits.lb()), Rounding.NEAREST, Numbers.of(Map.of()));
        List<PrescribedSets> day = List.of(squat("A", "1 @8"), squat("B", "5x5 -22%"));
        DoneSet top =
                new DoneSet(TaskKey.work("A", 1), new LiftedSet(Lift.SQUAT, Mass.ofLb(500), 1, Effort.parse("8")));
        assertThat(lb.resolve(day, List.of(top)).get(1).load()).contains(Mass.ofLb(390));
    }

    @Test
    void beforeTheTopBackOffsHangOnThePlannedTopAndSayAbout() {
        ResolvedLoad load = second(List.of());
        // 22 % below 177.5 kg is 138.45 kg
        assertThat(load.load()).contains(Mass.of("137.5", KG));
        assertThat(load.isAbout()).isTrue();
    }

    @Test
    void warmUpsAloneDoNotMoveTheBackOffs() {
        assertThat(second(List.of(done("A.w1", "160", 1, "easy")))).isEqualTo(second(List.of()));
    }

    @Test
    void aMissedTopSendsTheBackOffsToTheLastMadeSet() {
        ResolvedLoad load = second(List.of(done("A.w4", "165", 1, "easy"), done("A.1", "180", 0, "missed")));
        // 22 % below 165 kg is 128.7 kg
        assertThat(load.load()).contains(Mass.of("127.5", KG));
        assertThat(((ResolvedLoad.Known) load).origin())
                .isEqualTo(new ResolvedLoad.Origin.BelowLiftedTop("A", Mass.ofKg(165), Percent.of(22), true));
    }

    @Test
    void aTopMadeAtTheSecondTryCounts() {
        ResolvedLoad load = second(List.of(done("A.1", "180", 0, "missed"), done("A.2", "175", 1, "9")));
        assertThat(((ResolvedLoad.Known) load).origin())
                .isEqualTo(new ResolvedLoad.Origin.BelowLiftedTop("A", Mass.ofKg(175), Percent.of(22), false));
    }

    @Test
    void ofSeveralTopsMadeTheLastCounts() {
        ResolvedLoad load = second(List.of(done("A.1", "170", 1, "7"), done("A.2", "180", 1, "8")));
        // 22 % below 180 kg is 140.4 kg
        assertThat(load.load()).contains(Mass.ofKg(140));
    }

    @Test
    void aTopMissedWithNothingMadeLeavesTheCoachToSay() {
        assertThat(second(List.of(done("A.1", "180", 0, "missed"))))
                .isEqualTo(new ResolvedLoad.Unknown(ResolvedLoad.Why.NOTHING_MADE));
    }

    /** They used to be 140, 110 and 85: each hung on the one before it. */
    @Test
    void backOffsOfAMissedTopAllHangOnWhatWasMadeBeforeIt() {
        List<PrescribedSets> day = List.of(squat("A", "1 200kg"), squat("B", "5x5 -22%"));
        List<DoneSet> done = new ArrayList<>(List.of(done("A.w3", "180", 1, "9"), done("A.1", "200", 0, "missed")));
        for (int set = 1; set <= 5; set++) {
            assertThat(KG_LIFTER.resolve(day, done).get(1).load())
                    .as("set %s", set)
                    .contains(Mass.ofKg(140));
            done.add(done("B." + set, "140", 5, "8"));
        }
    }

    /** 190, 180.5 and 171.5 by the plan; with 180 lifted in place of 190 the next is 171. */
    @Test
    void aSteppedDropFollowsTheSetThatWasReallyLifted() {
        List<PrescribedSets> day = List.of(squat("A", "1 200kg"), squat("B", "3x3 -5% each"));
        assertThat(steps(day, List.of())).containsExactly("190", "180", "172.5");
        List<DoneSet> lighter = List.of(done("A.1", "200", 1, "8"), done("B.1", "180", 3, "9"));
        assertThat(steps(day, lighter)).containsExactly("190", "170", "162.5");
        List<DoneSet> asPlanned = List.of(done("A.1", "200", 1, "8"), done("B.1", "190", 3, "9"));
        assertThat(steps(day, asPlanned)).containsExactly("190", "180", "172.5");
    }

    private static List<String> steps(List<PrescribedSets> day, List<DoneSet> done) {
        ResolvedLoad.Known known =
                (ResolvedLoad.Known) KG_LIFTER.resolve(day, done).get(1);
        return known.steps().stream().map(fit -> fit.load().figure(KG, 2)).toList();
    }

    /** The working max may be stale; what a spotter has to carry is today's. */
    @Test
    void overloadedLoweringHangsOnTodaysEstimate() {
        Resolver stale = KG_LIFTER.with(Lift.SQUAT, numbers -> numbers.withWorkingMax(Mass.ofKg(260)));
        Mass estimate = stale.numbers(Lift.SQUAT).estimate().orElseThrow();
        Mass load = stale.resolve(List.of(squat("A", "1x8 120% lowering")))
                .get(0)
                .load()
                .orElseThrow();
        assertThat(load.distanceTo(estimate.times(Percent.of(120)))).isLessThanOrEqualTo(Mass.of("1.25", KG));
    }

    @Test
    void theLastTopOfTheLiftAboveIsTheOneThatCounts() {
        List<PrescribedSets> day = List.of(
                squat("A", "1 100kg"),
                squat("B", "1 120kg"),
                new PrescribedSets("C", Lift.BENCH_PRESS, Dose.parse("1 80kg")),
                squat("D", "3x5 -10%"));
        // 10 % below 120 kg, not below 100 and not below the bench press
        assertThat(KG_LIFTER.resolve(day).get(3).load()).contains(Mass.of("107.5", KG));
    }

    @Test
    void whatCannotBeSaidSaysWhy() {
        assertThat(KG_LIFTER.resolve(List.of(squat("A", "5x5 -22%"))).get(0))
                .isEqualTo(new ResolvedLoad.Unknown(ResolvedLoad.Why.NO_TOP_ABOVE));
        Resolver stranger = new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(Map.of()));
        assertThat(stranger.resolve(List.of(squat("A", "1 @8"), squat("B", "3x5 75%"), squat("C", "3x5 -10%"))))
                .containsExactly(
                        new ResolvedLoad.Unknown(ResolvedLoad.Why.NO_ESTIMATE),
                        new ResolvedLoad.Unknown(ResolvedLoad.Why.NO_WORKING_MAX),
                        new ResolvedLoad.Unknown(ResolvedLoad.Why.TOP_UNKNOWN));
    }

    @Test
    void aLoadBeyondThePlatesSaysSo() {
        ResolvedLoad load = KG_LIFTER.resolve(List.of(squat("A", "1x1 900kg"))).get(0);
        assertThat(((ResolvedLoad.Known) load).fit().limit()).isEqualTo(Fit.Limit.BEYOND_THE_PLATES);
    }

    @Property(tries = 300)
    void aHeavierTopNeverMeansLighterBackOffs(
            @ForAll @IntRange(min = 8, max = 100) int steps, @ForAll @IntRange(min = 1, max = 60) int drop) {
        List<PrescribedSets> day = List.of(
                squat("A", "1 @8"),
                new PrescribedSets("B", Lift.SQUAT, Dose.of(5, 5, new LoadBasis.BelowTop(Percent.of(drop)))));
        Mass lighter = Mass.of("2.5", KG).times(steps);
        Mass heavier = lighter.plus(Mass.of("2.5", KG));
        assertThat(backOff(day, heavier))
                .isGreaterThanOrEqualTo(backOff(day, lighter))
                .isLessThanOrEqualTo(heavier);
    }

    private static Mass backOff(List<PrescribedSets> day, Mass top) {
        DoneSet done = new DoneSet(TaskKey.work("A", 1), new LiftedSet(Lift.SQUAT, top, 1, Effort.parse("8")));
        return KG_LIFTER.resolve(day, List.of(done)).get(1).load().orElseThrow();
    }

    @Test
    void theFloorKnowsWhatComesNextAndWhatMoved() {
        List<PrescribedSets> day = List.of(squat("A", "1 @8"), squat("B", "2x5 -22%"));
        SessionPlan before = SessionPlan.of(KG_LIFTER, day, List.of());
        assertThat(before.next().orElseThrow().key()).isEqualTo(TaskKey.warmUp("A", 1));
        assertThat(before.slots().get(0).ramp()).isPresent();
        assertThat(before.slots().get(1).ramp()).isEmpty();
        assertThat(before.slots().get(1).hasMoved()).isFalse();

        SessionPlan after = SessionPlan.of(KG_LIFTER, day, List.of(done("A.1", "182.5", 1, "7.5")));
        assertThat(after.next().orElseThrow().key()).isEqualTo(TaskKey.work("B", 1));
        assertThat(after.slots().get(1).hasMoved()).isTrue();
        assertThat(after.next().orElseThrow().loading().orElseThrow().total()).isEqualTo(Mass.of("142.5", KG));
        assertThat(SessionPlan.of(KG_LIFTER, day, List.of(done("B.2", "140", 5, "8")))
                        .next())
                .isEmpty();
    }

    @Test
    void thePlatesToMoveStartFromTheBarThatWasReallyLifted() {
        List<PrescribedSets> day = List.of(squat("A", "1 @8"), squat("B", "1x5 -22%"));
        SessionPlan plan = SessionPlan.of(KG_LIFTER, day, List.of(done("A.1", "187.5", 1, "8")));
        SessionPlan.Task backOff = plan.next().orElseThrow();
        assertThat(backOff.before().mass().times(2)).isEqualTo(Mass.of("167.5", KG));
        // 22 % below 187.5 kg is 146.25 kg, as near to 145 as to 147.5
        assertThat(backOff.loading().orElseThrow().total()).isEqualTo(Mass.ofKg(145));
    }

    /** After 150 kg the next lift on that bar begins by taking plates off, not by adding to what is there. */
    @Test
    void anotherLiftOnTheSameBarBeginsWithWhatIsOnIt() {
        Resolver two = new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(Map.of()));
        List<PrescribedSets> day =
                List.of(squat("A", "1 150kg"), new PrescribedSets("B", Lift.BENCH_PRESS, Dose.parse("1 100kg")));
        SessionPlan.Task first = SessionPlan.of(two, day, List.of(done("A.1", "150", 1, "8")))
                .next()
                .orElseThrow();
        assertThat(first.before().mass().times(2)).isEqualTo(Mass.ofKg(130));
        assertThat(first.loading().orElseThrow().stack()).isEqualTo(PlateStack.EMPTY);
        assertThat(first.before().takenOffFor(first.loading().orElseThrow().stack()))
                .isNotEmpty();
    }

    @Test
    void anotherLiftOnAnotherBarBeginsWithAnEmptyOne() {
        KitInUse bars = lift -> Optional.of(lift.equals(Lift.SQUAT) ? Kits.kg() : Kits.bar20("20:2 10:2"));
        Resolver two = new Resolver(bars, Rounding.NEAREST, Numbers.of(Map.of()));
        List<PrescribedSets> day =
                List.of(squat("A", "1 150kg"), new PrescribedSets("B", Lift.BENCH_PRESS, Dose.parse("1 100kg")));
        SessionPlan plan = SessionPlan.of(two, day, List.of(done("A.1", "150", 1, "8")));
        assertThat(plan.next().orElseThrow().before()).isEqualTo(PlateStack.EMPTY);
    }

    @Test
    void aSetBeyondThoseAskedForIsKeptInThePlan() {
        SessionPlan plan = SessionPlan.of(KG_LIFTER, List.of(squat("A", "1 @8")), List.of(done("A.2", "180", 1, "8")));
        assertThat(plan.tasks()).extracting(t -> t.key().toString()).contains("A.1", "A.2");
    }

    @Test
    void keysOfSetsReadBack() {
        assertThat(TaskKey.parse("C1.w3")).isEqualTo(TaskKey.warmUp("C1", 3)).hasToString("C1.w3");
        assertThat(TaskKey.parse("A.12")).isEqualTo(TaskKey.work("A", 12));
    }
}
