package dev.yarbel.core.session;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.KindOfWork;
import dev.yarbel.core.progress.Step;
import dev.yarbel.core.record.LiftedSet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AskedDayTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

    private static Resolver lifter(long kg) {
        LiftNumbers numbers = new LiftNumbers(Optional.of(Mass.ofKg(kg)), Optional.of(Mass.ofKg(kg)), RepCurve.DEFAULT);
        return new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(Map.of(Lift.SQUAT, numbers)));
    }

    private static Block block(String... doses) {
        List<Optional<Dose>> weeks =
                Stream.of(doses).map(dose -> Optional.of(Dose.parse(dose))).toList();
        return new Block(
                MONDAY, doses.length, List.of(new TrainingDay("Day", 0, List.of(new Slot("A", Lift.SQUAT, weeks)))));
    }

    private static Projection.Log begun(AskedDay asked, Optional<List<DoneSet>> finished) {
        return new Projection.Log() {
            @Override
            public Optional<List<DoneSet>> on(int day, int week) {
                return week == 0 ? finished : Optional.empty();
            }

            @Override
            public Optional<AskedDay> asked(int day, int week) {
                return week == 0 ? Optional.of(asked) : Optional.empty();
            }
        };
    }

    private static AskedDay asked(Block block, Resolver resolver) {
        Projection now = Projection.of(block, resolver, Projection.Log.NONE);
        return AskedDay.of(false, now.prescriptions(0, 0), now.loads(0, 0));
    }

    /** Whatever the estimate becomes, a day that has begun keeps its loads: an older "about 170" was "about 132.5" once. */
    @ParameterizedTest
    @ValueSource(strings = {"1 @8", "3x5 80%", "1 @8 then 3x5 -20%", "3x5 70-75%", "climb 8 to @7", "3x3 3rm"})
    void aDayThatHasBegunKeepsItsLoads(String dose) {
        Block block = block(dose, dose);
        AskedDay asked = AskedDay.parse(asked(block, lifter(190)).text()).orElseThrow();
        Projection then = Projection.of(block, lifter(190), Projection.Log.NONE);
        Projection now = Projection.of(block, lifter(150), begun(asked, Optional.empty()));
        for (int i = 0; i < then.loads(0, 0).size(); i++) {
            assertThat(now.loads(0, 0).get(i).load())
                    .isEqualTo(then.loads(0, 0).get(i).load())
                    .isPresent();
            assertThat(now.loads(0, 0).get(i).isAbout())
                    .isEqualTo(then.loads(0, 0).get(i).isAbout());
        }
        assertThat(now.loads(0, 1).get(0).load().orElseThrow())
                .isLessThan(now.loads(0, 0).get(0).load().orElseThrow());
    }

    @Test
    void itsTextReadsBackWithLoadsInPoundsToo() {
        Resolver lb = new Resolver(
                KitInUse.of(Kits.lb()),
                Rounding.NEAREST,
                Numbers.of(Map.of(
                        Lift.SQUAT,
                        new LiftNumbers(Optional.of(Mass.ofLb(405)), Optional.of(Mass.ofLb(405)), RepCurve.DEFAULT))));
        AskedDay asked = asked(block("3x5 80% then 1x5 feel"), lb);
        assertThat(AskedDay.parse(asked.text())).contains(asked);
        assertThat(AskedDay.parse("deload\n" + asked.text()).orElseThrow().deload())
                .isTrue();
    }

    /** What sessions kept before loads were kept with them. */
    @Test
    void anOlderTextHasDosesWithoutLoads() {
        AskedDay asked =
                AskedDay.parse("A\tsquat\t3x5 75%\nB\tbench-press\t1 @8").orElseThrow();
        assertThat(asked.slots()).hasSize(2);
        assertThat(asked.prescriptions().get(0).stood()).isEmpty();
        assertThat(AskedDay.parse("")).isEmpty();
    }

    @Test
    void itKnowsWhetherThePlanStillAsksForTheSame() {
        Block block = block("3x8 60% stages", "3x8 last +2.5kg stages");
        AskedDay asked = asked(block, lifter(150));
        assertThat(asked.isStill(block, 0, 0)).isTrue();
        assertThat(asked.isStill(block("3x8 62.5% stages"), 0, 0)).isFalse();
        AskedDay dropped =
                AskedDay.parse("A\tsquat\t2x8 last +2.5kg stages\t95kg").orElseThrow();
        assertThat(dropped.isStill(block, 0, 1)).as("a set the law dropped").isTrue();
        assertThat(dropped.isStill(block, 0, 0)).isFalse();
    }

    // ---- the last time, over a log

    private static List<DoneSet> fives(int kg, int... reps) {
        List<DoneSet> sets = new ArrayList<>();
        for (int i = 0; i < reps.length; i++) {
            Effort effort = reps[i] < 5 ? new Effort.Missed() : new Effort.Rated(Rpe.of(8));
            sets.add(new DoneSet(TaskKey.work("A", i + 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(kg), reps[i], effort)));
        }
        return sets;
    }

    private static Optional<AskedDay> day(String text) {
        return AskedDay.parse("A\tsquat\t" + text);
    }

    @Test
    void aLawGoesOnFromTheBlockBefore() {
        LastTimes times = new LastTimes();
        times.add(MONDAY, day("3x5 100kg\t100kg"), fives(100, 5, 5, 5));
        times.add(MONDAY.plusDays(7), day("3x5 last +5kg\t105kg"), fives(105, 5, 5, 3));
        times.add(MONDAY.plusDays(10), day("3x5 60%\t60kg"), fives(60, 5, 5, 5));
        times.add(MONDAY.plusDays(11), AskedDay.parse("deload\nA\tsquat\t2x5 50kg\t50kg"), fives(50, 5, 5));
        times.add(MONDAY.plusDays(14), day("3x5 last +5kg\t105kg"), fives(105, 5, 5, 4));
        Step next = times.of(Lift.SQUAT)
                .get(KindOfWork.straight(5))
                .next(Dose.parse("3x5 last +2.5kg").first());
        assertThat(next.answer()).as("missed twice").isEqualTo(Step.Answer.RESET);
        assertThat(next.before()).isEqualTo(Mass.ofKg(105));
    }

    /** What was heavy long ago is no measure: after four weeks the lighter session is the last time. */
    @Test
    void afterABreakTheLighterSessionIsTheLastTime() {
        LastTimes times = new LastTimes();
        times.add(MONDAY, day("3x5 100kg\t100kg"), fives(100, 5, 5, 5));
        times.add(MONDAY.plusWeeks(4), day("3x5 70kg\t70kg"), fives(70, 5, 5, 5));
        assertThat(times.of(Lift.SQUAT).get(KindOfWork.straight(5)).run().load())
                .isEqualTo(Mass.ofKg(70));
    }

    @Test
    void aBackOffIsNoLastTimeAndAPlannedSessionComesBeforeAFreeOne() {
        LastTimes times = new LastTimes();
        times.add(
                MONDAY,
                day("1 @8 then 3x5 -20%\t~150kg,~120kg"),
                List.of(
                        new DoneSet(
                                TaskKey.work("A", 1),
                                new LiftedSet(Lift.SQUAT, Mass.ofKg(150), 1, new Effort.Rated(Rpe.of(8)))),
                        new DoneSet(
                                TaskKey.work("A", 2),
                                new LiftedSet(Lift.SQUAT, Mass.ofKg(120), 5, new Effort.Rated(Rpe.of(8))))));
        assertThat(times.of(Lift.SQUAT)).containsOnlyKeys(KindOfWork.straight(1));
        times.add(MONDAY, Optional.empty(), fives(110, 5, 5));
        assertThat(times.of(Lift.SQUAT).get(KindOfWork.straight(5)).run().load())
                .isEqualTo(Mass.ofKg(110));
        times.add(MONDAY, day("3x5 100kg\t100kg"), fives(100, 5, 5, 5));
        times.add(MONDAY, Optional.empty(), fives(140, 5, 5));
        assertThat(times.of(Lift.SQUAT)
                        .get(KindOfWork.straight(5))
                        .next(Dose.parse("3x5 last +2.5kg").first())
                        .run()
                        .load())
                .isEqualTo(Mass.of("102.5", MassUnit.KG));
    }
}
