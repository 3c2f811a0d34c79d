package dev.yarbel.core.school;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.progress.ExpectedGain;
import dev.yarbel.core.progress.ShrinkingSteps;
import dev.yarbel.core.review.BlockReview;
import dev.yarbel.core.review.Gate;
import dev.yarbel.core.review.KnownFacts;
import dev.yarbel.core.review.Mark;
import dev.yarbel.core.review.UnderReview;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.PredictedEffort;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.shape.Deload;
import dev.yarbel.core.shape.Taper;
import dev.yarbel.core.tally.BlockTally;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Assume;
import net.jqwik.api.Combinators;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Every block a school draws within its limits, for any lifter, calendar and gym, stands a coach's reading. */
class SchoolsStandReviewTest {

    private static final LocalDate START = LocalDate.of(2026, 3, 2);

    /** A school, a lifter and a gym. */
    record Case(BlockRequest request, Optional<Mastery> mastery, KitInUse kit, Rounding rounding) {

        Block block() {
            return BlockWriter.write(request, day -> "Day " + (day + 1), Enum::name);
        }

        Resolver resolver() {
            Map<Lift, LiftNumbers> own = new HashMap<>();
            List.of(
                            Lift.SQUAT,
                            Lift.BENCH_PRESS,
                            Lift.DEADLIFT,
                            Lift.OVERHEAD_PRESS,
                            new Lift("yoke-walk"),
                            new Lift("stone-over-bar"))
                    .forEach(lift -> own.put(lift, request.numbers().apply(lift)));
            return new Resolver(kit, rounding, Numbers.of(own, Catalogue.STANDARD.ratios()));
        }

        @Override
        public String toString() {
            return request.lifts() + " " + request.weeks() + " weeks on " + request.days() + ", contest "
                    + request.contest() + ", deload every " + request.deloadEvery() + " " + request.deload() + ", "
                    + mastery + ", " + request.unit() + " " + rounding;
        }
    }

    @Provide
    Arbitrary<Case> cases() {
        Arbitrary<List<Integer>> days = Arbitraries.integers()
                .between(0, 6)
                .set()
                .ofMinSize(2)
                .ofMaxSize(5)
                .map(set -> set.stream().sorted().toList());
        return Combinators.combine(
                        Arbitraries.of(School.class),
                        Arbitraries.integers().between(0, 100),
                        days,
                        Arbitraries.integers().between(0, 8),
                        Arbitraries.integers().between(-40, 130),
                        Arbitraries.of(Mastery.class).optional(),
                        Arbitraries.of(MassUnit.class),
                        Arbitraries.of(Rounding.class))
                .as(SchoolsStandReviewTest::of);
    }

    private static Case of(
            School school,
            int length,
            List<Integer> days,
            int every,
            int contest,
            Optional<Mastery> mastery,
            MassUnit unit,
            Rounding rounding) {
        int weeks = school.leastWeeks() + length * (Math.min(16, school.mostWeeks()) - school.leastWeeks()) / 100;
        Map<Lift, LiftRequest> lifts = new LinkedHashMap<>();
        List<Lift> all =
                switch (school) {
                    case GOAL_CYCLE, SPECIALISATION -> List.of(Lift.BENCH_PRESS);
                    case EVENTS -> List.of(new Lift("yoke-walk"), new Lift("stone-over-bar"), Lift.DEADLIFT);
                    default -> List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT);
                };
        all.forEach(lift -> lifts.put(lift, LiftRequest.of(school)));
        boolean kg = unit == MassUnit.KG;
        BlockRequest request = BlockRequest.of(START, weeks, days, lifts)
                .withDeload(every, Deload.HALF_SETS)
                .toward(contest < 2 ? Optional.empty() : Optional.of(START.plusDays(contest)))
                .in(BlockRequest.Steps.in(unit, rounding))
                .with(lift -> Drawings.numbers(lift).with(ExpectedGain.of(mastery)));
        return new Case(request, mastery, KitInUse.of(kg ? Kits.kg() : Kits.lb()), rounding);
    }

    private static final List<School> BY_PERCENTAGE =
            List.of(School.HIGH_FREQUENCY, School.HEAVY_LIGHT, School.PHASES, School.VOLUME_TO_INTENSITY);

    /** What hangs on a lifter's trend or on how long the school is meant to run is told, and is no fault of the drawing. */
    private static final List<Mark.Kind> TOLD = List.of(
            Mark.Kind.WALL, Mark.Kind.GOAL_PACE, Mark.Kind.NO_DELOAD, Mark.Kind.NO_REASON, Mark.Kind.GYM_TOO_HEAVY);

    /** A deload in the two weeks before the taper makes the volume before it look small. */
    @Example
    void aDeloadBeforeTheTaperIsNoReasonToMarkIt() {
        itsOwnReviewMarksNothing(
                of(School.PHASES, 75, List.of(0, 1), 2, 98, Optional.empty(), MassUnit.KG, Rounding.NEAREST));
        itsOwnReviewMarksNothing(of(
                School.PHASES,
                75,
                List.of(1, 2, 4, 5),
                5,
                99,
                Optional.of(Mastery.BEGINNER),
                MassUnit.KG,
                Rounding.UP));
    }

    @Property(tries = 400)
    void itsOwnReviewMarksNothing(@ForAll("cases") Case drawn) {
        Block block = drawn.block();
        Resolver resolver = drawn.resolver();
        Projection projection = Projection.of(block, resolver, Projection.Log.NONE);
        KnownFacts facts = new KnownFacts();
        facts.mastery = drawn.mastery();
        List<Mark> marks = BlockReview.of(UnderReview.of(block, projection, resolver, Projection.Log.NONE, facts));
        // daily practice is not for the very strong, and they are told
        boolean misfit =
                drawn.request().lifts().values().stream().anyMatch(asked -> asked.school() == School.HIGH_FREQUENCY);
        assertThat(marks.stream()
                        .filter(mark -> !TOLD.contains(mark.kind()))
                        .filter(mark -> !misfit || mark.kind() != Mark.Kind.TOO_OFTEN_FOR_THE_STRONG))
                .isEmpty();
    }

    /** What a goal in minutes asks for is kept until it is made; what rounding adds is the coach's rule. A miss that the law foresees is shown where its wall is marked; every other dose can be done. */
    @Property(tries = 400)
    void noDoseIsBeyondTheCurveWithTheGainItsLawStates(@ForAll("cases") Case drawn) {
        Block block = drawn.block();
        Resolver resolver = drawn.resolver();
        Projection projection = Projection.of(block, resolver, Projection.Log.NONE);
        for (int week = 0; week < block.weeks(); week++) {
            for (int day = 0; day < block.days().size(); day++) {
                List<PrescribedSets> asked = projection.prescriptions(day, week);
                for (int i = 0; i < asked.size(); i++) {
                    Part part = asked.get(i).part();
                    Optional<Mass> load = projection.loads(day, week).get(i) instanceof ResolvedLoad.Known known
                            ? Optional.of(
                                    Mass.min(known.fit().asked(), known.fit().load()))
                            : Optional.empty();
                    LiftNumbers numbers = resolver.numbers(asked.get(i).lift()).in(week);
                    if (part.basis() instanceof LoadBasis.Share share
                            && share.of() != Reference.Named.GOAL
                            && !(part.work() instanceof Work.Density)
                            && load.isPresent()) {
                        assertThat(PredictedEffort.of(asked.get(i), load.get(), numbers))
                                .as("%s %s in week %s", asked.get(i).lift(), part.shorthand(), week + 1)
                                .isNotEqualTo(Optional.of(new PredictedEffort.BeyondReach()));
                    }
                }
            }
        }
    }

    /** Common practice, no source: never more than ten points a week, at most 2.5 in the last two before the last heavy day. */
    @Property(tries = 400)
    void noStepIsAboveTheRule(@ForAll("cases") Case drawn) {
        Block block = drawn.block();
        for (Slot slot : slots(block)) {
            Percent before = null;
            for (int week = 0; week < block.weeks(); week++) {
                Optional<LoadBasis.Share> share = slot.doses().get(week).flatMap(SchoolsStandReviewTest::straight);
                if (share.isEmpty() || block.shape().get(week).deload() || isShaped(block, week)) {
                    continue;
                }
                // passing a milestone may cost a step of the gym
                Percent most = ShrinkingSteps.LARGEST_STEP.plus(Percent.of(3));
                if (before != null) {
                    assertThat(share.get().percent().minus(before))
                            .as(slot.lift() + " " + slot.doses())
                            .isLessThanOrEqualTo(most);
                }
                before = share.get().percent();
            }
        }
    }

    @Property(tries = 400)
    void noHeavyDayLiesInsideAContestsWindow(@ForAll("cases") Case drawn) {
        Block block = drawn.block();
        drawn.request().contest().ifPresent(contest -> {
            Taper taper = new Taper(contest, Catalogue.STANDARD, drawn.request().numbers());
            for (int day = 0; day < block.days().size(); day++) {
                for (Slot slot : block.days().get(day).slots()) {
                    for (int week = 0; week < block.weeks(); week++) {
                        int out = taper.daysOut(block.date(day, week));
                        boolean near = out >= 0
                                && out
                                        < Taper.lastHeavy(slot.lift(), Catalogue.STANDARD)
                                                .orElse(0);
                        Optional<Dose> dose = slot.doses().get(week);
                        if (near && dose.isPresent()) {
                            assertThat(Taper.isHeavy(
                                            dose.get(),
                                            drawn.request().numbers().apply(slot.lift())))
                                    .as(
                                            "%s %s %s days out",
                                            slot.lift(), dose.get().shorthand(), out)
                                    .isFalse();
                            assertThat(out).isGreaterThanOrEqualTo(Taper.LAST_SESSION);
                        }
                    }
                }
            }
        });
    }

    @Property(tries = 400)
    void noGateIsSlippedAndEveryLoadCanBeMadeOrIsSaidNotTo(@ForAll("cases") Case drawn) {
        Block block = drawn.block();
        Resolver resolver = drawn.resolver();
        Projection projection = Projection.of(block, resolver, Projection.Log.NONE);
        for (Slot slot : slots(block)) {
            for (Optional<Dose> dose : slot.doses()) {
                dose.ifPresent(d -> assertThat(Gate.before(
                                Catalogue.STANDARD.root(slot.lift()),
                                d,
                                resolver.numbers(slot.lift()).estimate()))
                        .as(slot.lift() + " " + d.shorthand())
                        .isEmpty());
            }
        }
        for (int week = 0; week < block.weeks(); week++) {
            for (int day = 0; day < block.days().size(); day++) {
                for (ResolvedLoad load : projection.loads(day, week)) {
                    if (load instanceof ResolvedLoad.Known known) {
                        assertThat(known.fit().loading()).isNotNull();
                    } else {
                        assertThat(((ResolvedLoad.Unknown) load).why())
                                .isIn(
                                        ResolvedLoad.Why.NO_ESTIMATE,
                                        ResolvedLoad.Why.BY_FEEL,
                                        ResolvedLoad.Why.NO_KIT,
                                        ResolvedLoad.Why.TOP_UNKNOWN);
                    }
                }
            }
        }
    }

    /** By our own words: with four repetitions left or fewer, or at 80 % and more. A week that has none trains nothing. */
    @Property(tries = 200)
    void everyTrainingWeekOfThePercentageSchoolsHasHardSets(@ForAll("cases") Case drawn) {
        LiftRequest asked = drawn.request().lifts().values().iterator().next();
        Assume.that(BY_PERCENTAGE.contains(asked.school()));
        Block block = drawn.block();
        // what rounding down takes off is the coach's rule
        Resolver resolver = new Case(drawn.request(), drawn.mastery(), drawn.kit(), Rounding.UP).resolver();
        BlockTally reckoning = BlockTally.of(
                block,
                Projection.of(block, resolver, Projection.Log.NONE),
                resolver,
                Projection.Log.NONE,
                Catalogue.STANDARD);
        for (Lift lift : drawn.request().lifts().keySet()) {
            for (int week = 0; week < block.weeks(); week++) {
                if (!block.shape().get(week).deload() && !isShaped(block, week)) {
                    assertThat(reckoning.family(lift, week).hardSets())
                            .as("%s in week %s", lift, week + 1)
                            .isPositive();
                }
            }
        }
    }

    private static boolean isShaped(Block block, int week) {
        LocalDate first = block.start().plusWeeks(week);
        return block.contest()
                .filter(day -> first.plusDays(6).isAfter(day.minusDays(15)) && first.isBefore(day.plusDays(14)))
                .isPresent();
    }

    private static Optional<LoadBasis.Share> straight(Dose dose) {
        Part part = dose.first();
        return part.basis() instanceof LoadBasis.Share share
                        && !part.is(SetModifier.SPEED)
                        && part.work() instanceof Work.Straight
                ? Optional.of(share)
                : Optional.empty();
    }

    private static List<Slot> slots(Block block) {
        return block.days().stream().flatMap(day -> day.slots().stream()).toList();
    }
}
