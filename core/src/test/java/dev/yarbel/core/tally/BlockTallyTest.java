package dev.yarbel.core.tally;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Muscle;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.session.TaskKey;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BlockTallyTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final Lift ROW = new Lift("barbell-row");

    private static final Resolver RESOLVER = new Resolver(
            KitInUse.of(Kits.kg()),
            Rounding.NEAREST,
            Numbers.of(
                    Map.of(Lift.SQUAT, max(200), Lift.DEADLIFT, max(200), Lift.BENCH_PRESS, max(100)),
                    Catalogue.STANDARD.ratios()));

    private static LiftNumbers max(long kg) {
        return new LiftNumbers(Optional.of(Mass.ofKg(kg)), Optional.of(Mass.ofKg(kg)), RepCurve.DEFAULT);
    }

    private static Slot slot(String letter, Lift lift, String... doses) {
        List<Optional<Dose>> weeks = new ArrayList<>();
        for (String dose : doses) {
            weeks.add(dose.isEmpty() ? Optional.empty() : Optional.of(Dose.parse(dose)));
        }
        return new Slot(letter, lift, weeks);
    }

    private static Block block(TrainingDay... days) {
        return new Block(MONDAY, days[0].slots().get(0).doses().size(), List.of(days));
    }

    private static BlockTally reckon(Block block, Projection.Log log) {
        return BlockTally.of(block, Projection.of(block, RESOLVER, log), RESOLVER, log, Catalogue.STANDARD);
    }

    /** Common practice, no source: 8×3 and 1×2 pulls beside four exercises of 3×8: 26 of 122 reps, 21 %, are pulls. */
    @Test
    void pullsAre26Of122Repetitions() {
        BlockTally reckoning = reckon(
                block(new TrainingDay(
                        "Pull",
                        0,
                        List.of(
                                slot("A", Lift.DEADLIFT, "1x2 85%"),
                                slot("B", Lift.DEADLIFT, "8x3 60% speed"),
                                slot("C1", ROW, "3x8 @8"),
                                slot("C2", new Lift("leg-curl"), "3x8 @8"),
                                slot("C3", new Lift("back-extension"), "3x8 @8"),
                                slot("C4", new Lift("ab-wheel"), "3x8 @8")))),
                Projection.Log.NONE);
        assertThat(reckoning.all().reps()).isEqualTo(122);
        assertThat(reckoning.family(Lift.DEADLIFT).reps()).isEqualTo(26);
        assertThat(reckoning.specificity().orElseThrow().format(0)).isEqualTo("21");
    }

    @Test
    void aSquatOrPullSetWeighsOneAndAHalfHardSets() {
        BlockTally reckoning = reckon(
                block(new TrainingDay(
                        "Day", 0, List.of(slot("A", Lift.SQUAT, "4x3 85%"), slot("B", Lift.BENCH_PRESS, "4x3 85%")))),
                Projection.Log.NONE);
        assertThat(reckoning.family(Lift.SQUAT).hardSets()).isEqualByComparingTo("6");
        assertThat(reckoning.family(Lift.BENCH_PRESS).hardSets()).isEqualByComparingTo("4");
    }

    @Test
    void tonnageAndIntensityAreOverRepetitions() {
        BlockTally reckoning = reckon(
                block(new TrainingDay(
                        "Day", 0, List.of(slot("A", Lift.SQUAT, "1x1 90%"), slot("B", Lift.SQUAT, "3x3 70%")))),
                Projection.Log.NONE);
        Totals week = reckoning.week(0);
        assertThat(week.tonnage()).isEqualTo(Mass.ofKg(180 + 9 * 140));
        assertThat(week.mean()).contains(Percent.of(72));
        assertThat(week.peak()).contains(Percent.of(90));
    }

    @Test
    void whatWasLiftedTakesThePlaceOfWhatWasPlanned() {
        Projection.Log log = (day, week) -> week == 0
                ? Optional.of(List.of(
                        new DoneSet(TaskKey.warmUp("A", 1), set(Lift.SQUAT, 100, 5, Effort.parse("easy"))),
                        new DoneSet(TaskKey.work("A", 1), set(Lift.SQUAT, 150, 4, new Effort.Rated(Rpe.of(8))))))
                : Optional.empty();
        BlockTally reckoning =
                reckon(block(new TrainingDay("Day", 0, List.of(slot("A", Lift.SQUAT, "5x5 70%", "5x5 70%")))), log);
        assertThat(reckoning.week(0).reps()).isEqualTo(4);
        assertThat(reckoning.week(0).tonnage()).isEqualTo(Mass.ofKg(600));
        assertThat(reckoning.week(1).reps()).isEqualTo(25);
        assertThat(reckoning.lines()).filteredOn(WorkLine::done).hasSize(1);
    }

    private static LiftedSet set(Lift lift, long kg, int reps, Effort effort) {
        return new LiftedSet(lift, Mass.ofKg(kg), reps, effort);
    }

    @Test
    void frequencyMusclesAndTissuesAreCountedByWhatALiftIs() {
        BlockTally reckoning = reckon(
                block(
                        new TrainingDay("One", 0, List.of(slot("A", Lift.SQUAT, "3x5 80%"))),
                        new TrainingDay("Two", 3, List.of(slot("A", new Lift("front-squat"), "3x5 80%")))),
                Projection.Log.NONE);
        assertThat(reckoning.frequency(Lift.SQUAT, 0)).isEqualTo(2);
        assertThat(reckoning.muscle(Muscle.QUADS, 0).sets()).isEqualTo(6);
        assertThat(reckoning.muscle(Muscle.CHEST, 0).sets()).isZero();
        assertThat(reckoning.tissue(Tissue.UPPER_BACK, 1, 0).sets()).isEqualTo(3);
        assertThat(reckoning.tissue(Tissue.UPPER_BACK, 0, 0).sets()).isZero();
        assertThat(reckoning.families()).containsExactly(Lift.SQUAT);
    }

    @Test
    void aSetToTheLimitCountsTheRepetitionsTheEstimateSpeaksForAndAClimbItsLastSet() {
        BlockTally reckoning = reckon(
                block(new TrainingDay(
                        "Day",
                        0,
                        List.of(slot("A", Lift.BENCH_PRESS, "max 80%"), slot("B", Lift.SQUAT, "climb 8 to @7")))),
                Projection.Log.NONE);
        assertThat(reckoning.family(Lift.BENCH_PRESS).reps()).isBetween(6, 9);
        assertThat(reckoning.family(Lift.SQUAT).hardSets()).isEqualByComparingTo("1.5");
    }

    @Test
    void whatIsNotCountedInRepetitionsHasNone() {
        BlockTally reckoning = reckon(
                block(new TrainingDay(
                        "Day",
                        0,
                        List.of(
                                slot("A", new Lift("general-preparation"), "prep 10min"),
                                slot("B", new Lift("yoke-walk"), "3x20m 180kg")))),
                Projection.Log.NONE);
        assertThat(reckoning.all().reps()).isZero();
        assertThat(reckoning.all().tonnage()).isEqualTo(Mass.ZERO);
        assertThat(reckoning.specificity()).isEmpty();
    }

    /** Prilepin's table, from memory, as the literature reprints it. */
    @ParameterizedTest
    @CsvSource({
        "60%, 5x4, UNDER_70, WITHIN",
        "60%, 5x3, UNDER_70, FEW",
        "75%, 5x3, FROM_70, WITHIN",
        "75%, 5x5, FROM_70, MANY",
        "85%, 5x3, FROM_80, WITHIN",
        "90%, 4x1, FROM_90, WITHIN",
        "92.5%, 6x2, FROM_90, MANY",
        "92.5%, 1x1, FROM_90, FEW",
    })
    void prilepinIsASecondOpinion(String share, String sets, Prilepin.Zone zone, Prilepin.Verdict verdict) {
        BlockTally reckoning = reckon(
                block(new TrainingDay("Day", 0, List.of(slot("A", Lift.SQUAT, sets + " " + share)))),
                Projection.Log.NONE);
        assertThat(Prilepin.of(reckoning.lines())).singleElement().satisfies(opinion -> {
            assertThat(opinion.zone()).isEqualTo(zone);
            assertThat(opinion.verdict()).isEqualTo(verdict);
        });
        assertThat(zone.least()).isLessThan(zone.best());
        assertThat(zone.best()).isLessThan(zone.most());
    }

    @Test
    void aSessionTakesItsSetsRestsAndRamps() {
        assertThat(minutes(slot("A", Lift.SQUAT, "5x5 80% rest 180"))).isBetween(20L, 32L);
        assertThat(minutes(slot("A", Lift.SQUAT, "5x5 80% rest 60")))
                .isEqualTo(minutes(slot("A", Lift.SQUAT, "5x5 80% rest 180")) - 10);
        assertThat(minutes(slot("A", Lift.BENCH_PRESS, "10x1 in 10min gap 30 90%")))
                .isBetween(15L, 20L);
        assertThat(minutes(slot("A", new Lift("general-preparation"), "prep 10min")))
                .isEqualTo(10);
    }

    @Test
    void slotsThatAreDoneInTurnRestWhileTheOthersWork() {
        long apart = minutes(slot("A", ROW, "3x10 50kg"), slot("B", new Lift("curl"), "3x10 30kg"));
        long inTurn = minutes(slot("A1", ROW, "3x10 50kg"), slot("A2", new Lift("curl"), "3x10 30kg"));
        assertThat(inTurn).isLessThan(apart);
    }

    private static long minutes(Slot... slots) {
        Block block = block(new TrainingDay("Day", 0, List.of(slots)));
        Projection projection = Projection.of(block, RESOLVER, Projection.Log.NONE);
        List<PrescribedSets> day = projection.prescriptions(0, 0);
        return SessionTime.of(day, projection.loads(0, 0), RESOLVER).toMinutes();
    }

    @Test
    void aHabitIsTheHardSetsOfTheLastEightWeeks() {
        List<LiftedSession> log = new ArrayList<>();
        for (int week = 1; week <= 12; week++) {
            log.add(new LiftedSession(
                    MONDAY.minusWeeks(week),
                    List.of(
                            set(Lift.SQUAT, 160, 3, new Effort.Rated(Rpe.of(8))),
                            set(Lift.SQUAT, 160, 3, new Effort.Rated(Rpe.of(8))),
                            set(Lift.SQUAT, 60, 5, Effort.parse("easy")))));
        }
        Habit habit = Habit.of(log, MONDAY, RESOLVER, Catalogue.STANDARD);
        assertThat(habit.weeks()).isEqualTo(8);
        assertThat(habit.hardSets(Lift.SQUAT)).isEqualTo(3.0);
        assertThat(habit.hardSets(Lift.DEADLIFT)).isZero();
        assertThat(Habit.of(List.of(), MONDAY, RESOLVER, Catalogue.STANDARD).weeks())
                .isZero();
        assertThat(BigDecimal.valueOf(habit.halvesAWeek().get(Lift.SQUAT))).isEqualByComparingTo("6");
    }
}
