package dev.yarbel.core.estimate;

import static dev.yarbel.core.measure.MassUnit.KG;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SmoothedMaxEstimatorTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final Optional<StartingMax> START_200 = Optional.of(new StartingMax(Mass.ofKg(200), MONDAY));

    private static LiftedSet squat(int kg, int reps, String effort) {
        return new LiftedSet(Lift.SQUAT, Mass.ofKg(kg), reps, Effort.parse(effort));
    }

    private static LiftedSession after(int days, LiftedSet... sets) {
        return new LiftedSession(MONDAY.plusDays(days), List.of(sets));
    }

    private static MaxEstimate estimate(Optional<StartingMax> start, LiftedSession... sessions) {
        return new SmoothedMaxEstimator()
                .estimate(Lift.SQUAT, RepCurve.DEFAULT, start, Arrays.asList(sessions), false)
                .orElseThrow();
    }

    @Test
    void nothingKnownIsNoEstimate() {
        assertThat(new SmoothedMaxEstimator()
                        .estimate(Lift.SQUAT, RepCurve.DEFAULT, Optional.empty(), List.of(), false))
                .isEmpty();
    }

    @Test
    void withoutAStartTheFirstSessionSpeaksAlone() {
        MaxEstimate estimate = estimate(Optional.empty(), after(0, squat(200, 1, "10")));
        assertThat(estimate.max()).isEqualTo(Mass.ofKg(200));
        // a session is never surer than 2 points
        assertThat(estimate.spread()).isEqualTo(Mass.ofKg(4));
    }

    @Test
    void setsAsExpectedLeaveTheMaxAndNarrowTheSpread() {
        Mass atEight = RepCurve.DEFAULT.load(Mass.ofKg(200), 1, Rpe.of(8));
        MaxEstimate before = estimate(START_200);
        MaxEstimate after = estimate(START_200, after(0, new LiftedSet(Lift.SQUAT, atEight, 1, Effort.parse("8"))));
        assertThat(after.max()).isEqualTo(Mass.ofKg(200));
        assertThat(after.spread()).isLessThan(before.spread());
    }

    /** The filter written out for one step: own doubt 4 points, the set's 1.5, so the session's 2; gain 16/20. */
    @Test
    void oneStepIsTheKalmanFiltersStep() {
        MaxEstimate estimate = estimate(START_200, after(0, squat(210, 1, "10")));
        assertThat(estimate.max()).isEqualTo(Mass.ofKg(208));
        Mass expectedSpread = Mass.of(String.valueOf(208 * Math.sqrt(0.2 * 0.0016)), KG);
        assertThat(estimate.spread().distanceTo(expectedSpread)).isLessThan(Mass.of("0.001", KG));
    }

    @Test
    void aSetCloserToTheLimitWeighsMore() {
        MaxEstimate.Movement movement = estimate(START_200, after(0, squat(190, 1, "9"), squat(150, 5, "7")))
                .movements()
                .get(0);
        assertThat(movement.contributions().get(0).weight())
                .isGreaterThan(movement.contributions().get(1).weight());
    }

    @Test
    void manyBackOffsAlikeDoNotShoutTheTopSetDown() {
        LiftedSet backOff = squat(150, 5, "7");
        MaxEstimate.Movement movement = estimate(
                        START_200, after(0, squat(190, 1, "8"), backOff, backOff, backOff, backOff))
                .movements()
                .get(0);
        // the single's weight is 1/3.5², a back-off's 1/6.5², four alike count as two
        double single = 1 / (3.5 * 3.5);
        double backOffs = 2 / (6.5 * 6.5);
        assertThat(movement.contributions().get(0).weight().figure().doubleValue())
                .isCloseTo(100 * single / (single + backOffs), within(0.01));
    }

    @Test
    void deadliftSetsOfSeveralRepsWeighLessThanSquatSets() {
        assertThat(weightOfRepSet(Lift.DEADLIFT)).isLessThan(weightOfRepSet(Lift.SQUAT));
        assertThat(weightOfRepSet(new Lift("sumo-deadlift"))).isEqualTo(weightOfRepSet(Lift.DEADLIFT));
        assertThat(weightOfRepSet(new Lift("trap-bar-deadlift"))).isEqualTo(weightOfRepSet(Lift.DEADLIFT));
        assertThat(weightOfRepSet(new Lift("paused-deadlift"))).isEqualTo(weightOfRepSet(Lift.SQUAT));
    }

    private static Percent weightOfRepSet(Lift lift) {
        LiftedSession session = after(
                0,
                new LiftedSet(lift, Mass.ofKg(185), 1, Effort.parse("8")),
                new LiftedSet(lift, Mass.ofKg(160), 5, Effort.parse("8")));
        return new SmoothedMaxEstimator()
                .estimate(
                        lift,
                        RepCurve.DEFAULT,
                        START_200,
                        List.of(session),
                        Catalogue.STANDARD.repsFlatterTheSingle(lift))
                .orElseThrow()
                .movements()
                .get(0)
                .contributions()
                .get(1)
                .weight();
    }

    @ParameterizedTest
    @CsvSource({"1, 5.5", "3, easy", "10, 7", "13, 10", "0, missed"})
    void lightLongAndEmptySetsNeverEstimate(int reps, String effort) {
        MaxEstimate estimate = estimate(START_200, after(7, squat(150, reps, effort)));
        assertThat(estimate).isEqualTo(estimate(START_200));
        assertThat(estimate.movements()).isEmpty();
    }

    @Test
    void repsMadeBeforeAMissWereToTheLimit() {
        assertThat(estimate(START_200, after(0, squat(190, 2, "missed"))).max())
                .isEqualTo(estimate(START_200, after(0, squat(190, 2, "10"))).max());
    }

    @Test
    void setsOfAnotherLiftAreNoEvidence() {
        LiftedSet bench = new LiftedSet(Lift.BENCH_PRESS, Mass.ofKg(120), 1, Effort.parse("9"));
        assertThat(estimate(START_200, after(3, bench))).isEqualTo(estimate(START_200));
    }

    @Test
    void aLongPauseMakesTheNextSessionCountForMore() {
        Mass soon = estimate(START_200, after(2, squat(210, 1, "10"))).max();
        Mass late = estimate(START_200, after(60, squat(210, 1, "10"))).max();
        assertThat(late).isGreaterThan(soon);
    }

    @Test
    void sessionsMayComeInAnyOrder() {
        LiftedSession first = after(0, squat(185, 1, "8"));
        LiftedSession second = after(7, squat(192, 1, "8"));
        assertThat(estimate(START_200, second, first)).isEqualTo(estimate(START_200, first, second));
    }

    @Property(tries = 300)
    void theContributionsAddUpToTheMovementAndStayWithinTheEvidence(
            @ForAll @IntRange(min = 150, max = 250) int top,
            @ForAll @IntRange(min = 12, max = 20) int halves,
            @ForAll @IntRange(min = 100, max = 200) int backOff,
            @ForAll @IntRange(min = 1, max = 6) int reps) {
        String rpe = halves / 2 + (halves % 2 == 0 ? "" : ".5");
        MaxEstimate estimate = estimate(
                START_200, after(3, squat(top, 1, rpe), squat(backOff, reps, "8"), squat(backOff, reps, "8.5")));
        MaxEstimate.Movement movement = estimate.movements().get(0);
        Mass moved = Mass.ZERO;
        Percent weight = Percent.ZERO;
        List<Mass> bounds = new ArrayList<>(List.of(Mass.ofKg(200)));
        for (MaxEstimate.Contribution contribution : movement.contributions()) {
            moved = moved.plus(contribution.moved());
            weight = weight.plus(contribution.weight());
            bounds.add(contribution.max());
        }
        Mass gram = Mass.of("0.003", KG);
        assertThat(movement.before().plus(moved).distanceTo(movement.after())).isLessThanOrEqualTo(gram);
        assertThat(weight.minus(Percent.HUNDRED).abs()).isLessThan(Percent.of("0.001"));
        assertThat(estimate.max().plus(gram))
                .isGreaterThanOrEqualTo(bounds.stream().min(Mass::compareTo).orElseThrow());
        assertThat(estimate.max().minus(gram))
                .isLessThanOrEqualTo(bounds.stream().max(Mass::compareTo).orElseThrow());
        assertThat(estimate.spread().isPositive()).isTrue();
    }

    @Property(tries = 100)
    void repeatedSessionsAtOneLevelConvergeOnIt(@ForAll @IntRange(min = 170, max = 240) int level) {
        LiftedSession[] sessions = new LiftedSession[12];
        for (int i = 0; i < sessions.length; i++) {
            sessions[i] = after(7 * i, squat(level, 1, "10"));
        }
        assertThat(estimate(START_200, sessions).max().distanceTo(Mass.ofKg(level)))
                .isLessThan(Mass.ofKg(1));
    }
}
