package dev.yarbel.core.estimate;

import static dev.yarbel.core.estimate.Logs.FIRST;
import static dev.yarbel.core.estimate.Logs.PULL_240;
import static dev.yarbel.core.estimate.Logs.SQUAT_200;
import static dev.yarbel.core.estimate.Logs.SUMO;
import static dev.yarbel.core.estimate.Logs.history;
import static dev.yarbel.core.estimate.Logs.kg;
import static dev.yarbel.core.estimate.Logs.on;
import static dev.yarbel.core.estimate.Logs.set;
import static dev.yarbel.core.estimate.Logs.squat;
import static dev.yarbel.core.estimate.Logs.squats;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.SetUp;
import dev.yarbel.core.record.UsualKit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is learnt of set-ups apart, of variations, and by the bar's speed. */
class SetUpStrengthTest {

    /** Common practice, no source: speed against the lifter's own table moves a rating by half a point, together with all others. */
    @Test
    void theBarsSpeedIsAWitnessOnceThereIsATable() {
        SpeedTables tables = new SpeedTables(new UsualKit(Catalogue.STANDARD, Map.of()));
        String[] rated = {"10 0.22", "9 0.27", "8 0.31", "7 0.37"};
        LiftedSession slow = on(20, squat(180, 1, "8").with(SetDetails.NONE.with(BarSpeed.parse("0.23"))));
        assertThat(tables.witnessed(slow)).isEqualTo(slow);
        for (int i = 0; i < 12; i++) {
            String[] line = rated[i % rated.length].split(" ");
            tables.add(on(i, squat(170, 1, line[0]).with(SetDetails.NONE.with(BarSpeed.parse(line[1])))));
        }
        assertThat(tables.of(Lift.SQUAT).orElseThrow().isThin()).isFalse();
        assertThat(tables.of(Lift.BENCH_PRESS)).isEmpty();
        assertThat(tables.witnessed(slow).sets().get(0).ratingOnRecord()).contains(Rpe.parse("8.5"));
        LiftedSession fast = on(20, squat(180, 1, "8").with(SetDetails.NONE.with(BarSpeed.parse("0.37"))));
        assertThat(tables.witnessed(fast).sets().get(0).ratingOnRecord()).contains(Rpe.parse("7.5"));
        LiftedSession apart = on(
                20,
                squatIn("paused", 180, 1, "8")
                        .with(SetDetails.NONE
                                .asked(SetUp.of(SetUp.Manner.PAUSED))
                                .with(BarSpeed.parse("0.23"))));
        assertThat(tables.witnessed(apart)).isEqualTo(apart);
    }

    /** Whether a history knows its tables: a rating that the bar contradicts counts for half a point less. */
    @Test
    void anEstimateHearsTheWitness() {
        List<LiftedSession> log = new ArrayList<>();
        String[] rated = {"10 0.22", "9 0.27", "8 0.31", "7 0.37"};
        for (int i = 0; i < 12; i++) {
            String[] line = rated[i % rated.length].split(" ");
            log.add(on(2 * i, squat(180, 1, line[0]).with(SetDetails.NONE.with(BarSpeed.parse(line[1])))));
        }
        List<LiftedSession> silent = new ArrayList<>(log);
        silent.add(on(26, squat(190, 1, "8")));
        log.add(on(26, squat(190, 1, "8").with(SetDetails.NONE.with(BarSpeed.parse("0.22")))));
        assertThat(kg(squats(log.toArray(LiftedSession[]::new)), Lift.SQUAT, 26))
                .isLessThan(kg(squats(silent.toArray(LiftedSession[]::new)), Lift.SQUAT, 26));
    }

    @Test
    void aVariationsRatioIsToldOnceItWasLifted() {
        StrengthHistory history =
                history(List.of(PULL_240), on(1, set(SUMO, 200, 3, "8")), on(8, set(SUMO, 200, 3, "8")));
        assertThat(history.on(FIRST).ratio(SUMO)).isEmpty();
        assertThat(history.on(FIRST.plusDays(8)).ratio(Lift.DEADLIFT)).isEmpty();
        ShareEstimate ratio = history.on(FIRST.plusDays(8)).ratio(SUMO).orElseThrow();
        Mass max = history.on(FIRST.plusDays(8)).estimate(SUMO).orElseThrow().max();
        assertThat(kg(max)).isCloseTo(ofParent(history, Lift.DEADLIFT, 8, ratio), within(0.2));
        assertThat(ratio.low()).isLessThan(ratio.share());
    }

    /** The pull itself was never lifted since it was set down, but stands. */
    private static double ofParent(StrengthHistory history, Lift lift, int day, ShareEstimate ratio) {
        return kg(history.on(FIRST.plusDays(day))
                .estimate(lift)
                .orElseThrow()
                .max()
                .times(ratio.share()));
    }

    private static LiftedSet squatIn(String setUp, double kg, int reps, String effort) {
        return squat(kg, reps, effort).with(SetDetails.NONE.asked(SetUp.parse(setUp)));
    }

    /** Common practice, no source: eight under a slow beat are not eight, a beltless miss says nothing of the belted max. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "+chains 30kg",
                "reverse 20kg",
                "tempo 4020",
                "rest 20",
                "paused",
                "partial",
                "without belt",
                "with knee-wraps",
                "lowering"
            })
    void aSetUpApartHasNumbersOfItsOwnAndNeverFeedsThePlainLift(String setUp) {
        List<LiftedSession> log = new ArrayList<>();
        List<LiftedSession> plain = new ArrayList<>();
        for (int day = 1; day < 60; day += 6) {
            LiftedSession squats = on(day, squat(160, 5, "8"));
            plain.add(squats);
            log.add(squats);
            log.add(on(
                    day + 3,
                    squatIn(setUp, 140, 8, "10"),
                    squatIn(setUp, 165, 1, "missed"),
                    squatIn(setUp, 150, 3, "9")));
        }
        LifterStrength with =
                history(List.of(SQUAT_200), log.toArray(LiftedSession[]::new)).on(FIRST.plusDays(60));
        LifterStrength without =
                history(List.of(SQUAT_200), plain.toArray(LiftedSession[]::new)).on(FIRST.plusDays(60));
        // what is trained besides makes tired, as any training does
        assertThat(kg(with.estimate(Lift.SQUAT).orElseThrow().max()))
                .isCloseTo(kg(without.estimate(Lift.SQUAT).orElseThrow().max()), within(2.5))
                .isGreaterThanOrEqualTo(
                        kg(without.estimate(Lift.SQUAT).orElseThrow().max()) - 0.001);
        assertThat(with.ratingBias(Lift.SQUAT).orElseThrow().reps().doubleValue())
                .isCloseTo(without.ratingBias(Lift.SQUAT).orElseThrow().reps().doubleValue(), within(0.15));
        assertThat(with.setUps(Lift.SQUAT)).hasSize(1).first().satisfies(own -> {
            assertThat(own.setUp()).isEqualTo(SetUp.parse(setUp.equals("rest 20") ? "rest 45" : setUp));
            // eight to the limit at 140, three at 150 with one left: about 170
            assertThat(kg(own.estimate().max())).isBetween(155.0, 180.0);
            assertThat(own.ofThePlainLift().low())
                    .isLessThan(own.ofThePlainLift().share());
            assertThat(own.ofThePlainLift().high())
                    .isGreaterThan(own.ofThePlainLift().share());
        });
    }

    /** That the plain lift turns out stronger than believed makes of the single that was done with chains no other one. */
    @Test
    void aSingleWithChainsIsRememberedWhateverIsLearntOfThePlainLift() {
        StrengthHistory history = squats(
                on(1, squat(170, 5, "8")), on(4, squatIn("+chains 30kg", 180, 1, "9")), on(7, squat(185, 5, "8")));
        for (int day : new int[] {4, 7, 40}) {
            SetUpStrength chains =
                    history.on(FIRST.plusDays(day)).setUps(Lift.SQUAT).get(0);
            assertThat(chains.setUp()).hasToString("+chains 30kg");
            assertThat(kg(chains.estimate().max())).isBetween(180.0, 197.0);
        }
        double before = kg(history, Lift.SQUAT, 4);
        assertThat(kg(history, Lift.SQUAT, 7)).isGreaterThan(before + 4);
    }
}
