package dev.yarbel.core.tally;

import static dev.yarbel.core.measure.MassUnit.KG;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.Caution;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.session.TaskKey;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ExposureTest {

    private static final LiftNumbers MAX_200 =
            new LiftNumbers(Optional.of(Mass.ofKg(200)), Optional.of(Mass.ofKg(200)), RepCurve.DEFAULT);
    private static final Resolver LIFTER = new Resolver(
            KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(Map.of(Lift.SQUAT, MAX_200, Lift.DEADLIFT, MAX_200)));

    private static PrescribedSets squat(String letter, String dose) {
        return new PrescribedSets(letter, Lift.SQUAT, Dose.parse(dose));
    }

    private static DoneSet done(String task, String kg, int reps, String effort) {
        return new DoneSet(TaskKey.parse(task), new LiftedSet(Lift.SQUAT, Mass.of(kg, KG), reps, Effort.parse(effort)));
    }

    private static Exposure lifted(DoneSet... sets) {
        return Exposure.done(LIFTER, List.of(squat("A", "1 @8"), squat("B", "2x5 60%")), List.of(sets), Lift.SQUAT)
                .orElseThrow();
    }

    /** Five at 60 % leave far more than four by the rep curve, eight at 72.5 % fewer; 80 % is hard by its load. */
    @ParameterizedTest
    @CsvSource({
        "1 @8, 1",
        "1 @5.5, 1",
        "5 @5, 0",
        "2x5 60%, 0",
        "2x5 80%, 10",
        "2x8 72.5%, 16",
        "1 160kg, 1",
        "1 150kg, 0"
    })
    void onlyHardSetsCount(String dose, int hardReps) {
        assertThat(planned(LIFTER, List.of(squat("A", dose)), Lift.SQUAT)
                        .orElseThrow()
                        .hardReps())
                .isEqualTo(hardReps);
    }

    @Test
    void aDayIsAsHeavyAsItsHeaviestWorkSetOfTheLift() {
        List<PrescribedSets> day = List.of(
                squat("A", "1 170kg"),
                squat("B", "5x5 -20%"),
                new PrescribedSets("C", Lift.DEADLIFT, Dose.parse("1 190kg")));
        Exposure exposure = planned(LIFTER, day, Lift.SQUAT).orElseThrow();
        assertThat(exposure.heaviest()).isEqualTo(Mass.ofKg(170));
        assertThat(exposure.done()).isFalse();
        assertThat(planned(LIFTER, day, Lift.BENCH_PRESS)).isEmpty();
    }

    @Test
    void warmUpsAndEasySetsAreNotHardAndWhatIsRatedMissedOrHeavyIs() {
        Exposure exposure = lifted(
                done("A.w1", "190", 1, "9"),
                done("A.1", "185", 1, "8"),
                done("B.1", "120", 5, "easy"),
                done("B.2", "120", 5, "6"),
                done("B.3", "165", 2, "easy"),
                done("B.4", "120", 3, "missed"));
        assertThat(exposure.heaviest()).isEqualTo(Mass.ofKg(185));
        assertThat(exposure.hardReps()).isEqualTo(1 + 5 + 2 + 3);
        assertThat(exposure.done()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "8, AS_PLANNED",
        "8.5, AS_PLANNED",
        "9, OVER",
        "7.5, AS_PLANNED",
        "7, UNDER",
        "missed, OVER",
        "easy, AS_PLANNED"
    })
    void aWholePointFromTheRatingAskedForLeavesThePlan(String effort, Exposure.Judgement judgement) {
        assertThat(lifted(done("A.1", "185", effort.equals("missed") ? 0 : 1, effort))
                        .judgement())
                .isEqualTo(judgement);
    }

    @Test
    void oneSetOverOutweighsOneUnder() {
        assertThat(lifted(done("A.1", "185", 1, "7"), done("A.2", "190", 1, "9.5"))
                        .judgement())
                .isEqualTo(Exposure.Judgement.OVER);
        assertThat(lifted(done("B.1", "120", 5, "9")).judgement()).isEqualTo(Exposure.Judgement.AS_PLANNED);
    }

    @ParameterizedTest
    @CsvSource({
        "squat, 1 @8, true",
        "squat, 1 @7, true",
        "squat, 5 @7, false",
        "bench-press, 1 @8, true",
        "deadlift, 1 @9, false",
        "front-squat, 1 @8, true",
        "sumo-deadlift, 1 @9, false",
        "squat, 3x3 85%, true",
        "squat, 3x3 82.5%, false"
    })
    void spottersBelongToNearLimitSetsThatCanPin(String lift, String dose, boolean needed) {
        PrescribedSets prescription = new PrescribedSets("A", new Lift(lift), Dose.parse(dose));
        assertThat(Caution.needsSpotters(
                        Catalogue.STANDARD.of(prescription.lift()),
                        prescription,
                        LIFTER.resolve(List.of(prescription)).get(0),
                        LIFTER.numbers(prescription.lift())))
                .isEqualTo(needed);
    }

    /** What a day's doses will expose a lift to, as work lines count it. */
    @Test
    void aWholeDayIsJudgedWhateverItsLiftsAndWarmUpsAreNoPartOfIt() {
        List<PrescribedSets> day = List.of(squat("A", "1 @8"), squat("B", "1 @7"));
        assertThat(Exposure.judgement(day, List.of(done("A.w1", "100", 1, "10"), done("A.1", "180", 1, "8"))))
                .isEqualTo(Exposure.Judgement.AS_PLANNED);
        assertThat(Exposure.judgement(day, List.of(done("A.1", "180", 1, "6"), done("B.1", "170", 1, "8"))))
                .isEqualTo(Exposure.Judgement.OVER);
    }

    private static Optional<Exposure> planned(Resolver resolver, List<PrescribedSets> day, Lift lift) {
        List<ResolvedLoad> loads = resolver.resolve(day);
        Mass heaviest = Mass.ZERO;
        int hardReps = 0;
        for (int i = 0; i < day.size(); i++) {
            if (day.get(i).lift().equals(lift)) {
                WorkLine line = WorkLine.planned(0, 0, day.get(i), loads.get(i), resolver.numbers(lift));
                heaviest = Mass.max(heaviest, line.load().orElse(Mass.ZERO));
                hardReps += line.hardSets() * line.reps();
            }
        }
        return heaviest.isZero()
                ? Optional.empty()
                : Optional.of(new Exposure(heaviest, hardReps, false, Exposure.Judgement.AS_PLANNED));
    }
}
