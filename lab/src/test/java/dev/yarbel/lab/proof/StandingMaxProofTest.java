package dev.yarbel.lab.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.estimate.Ingredient;
import dev.yarbel.core.estimate.MaxOnRecord;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.lab.lifter.Life;
import dev.yarbel.lab.lifter.SimulatedLifter;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The measures themselves, held against methods of which it is known how far they are off. */
class StandingMaxProofTest {

    private static final long SEED = 3;
    private static final int WEEKS = 20;

    private static Life life() {
        return SimulatedLifter.of(SEED).live(WEEKS);
    }

    /** Knows the truth of the one lifter of the seed, and says so much more or less. */
    private record Knows(String name, double factor, double spread) implements Method {

        @Override
        public Telling of(Map<Lift, MaxOnRecord> starts) {
            Life life = life();
            return new Log() {
                @Override
                public Optional<Guess> on(LocalDate day, Lift lift) {
                    double truth = life.weeks().stream()
                            .filter(week -> week.last().equals(day))
                            .findFirst()
                            .orElseThrow()
                            .standing()
                            .get(lift);
                    return Optional.of(new Guess(truth * factor, truth * spread));
                }
            };
        }
    }

    private static Score score(Method method) {
        return StandingMaxProof.of(List.of(method), List.of(life())).scores().get(method);
    }

    @Test
    void whoKnowsTheTruthErrsNotAtAll() {
        Score score = score(new Knows("knows", 1, 0.01));
        assertThat(score.ofTheMedianLifter()).isCloseTo(0, within(1e-9));
        assertThat(score.pooled()).isCloseTo(0, within(1e-9));
        assertThat(score.coverage()).isEqualTo(1);
        assertThat(score.halfWidth()).isCloseTo(0.0128, within(0.0001));
    }

    @Test
    void whoIsATenthTooLowErrsByATenthToThatSideAndARangeTooNarrowHoldsNothing() {
        Score score = score(new Knows("low", 0.9, 0.05));
        assertThat(score.ofTheMedianLifter()).isCloseTo(0.1, within(1e-9));
        assertThat(score.ofLifterAt(0.9)).isCloseTo(0.1, within(1e-9));
        assertThat(score.leaning()).isCloseTo(-0.1, within(1e-9));
        assertThat(score.coverage()).isZero();
        assertThat(score.within(3)).isEqualTo(1);
        assertThat(score(new Knows("low, and wide", 0.9, 0.1)).coverage()).isEqualTo(1);
    }

    @Test
    void aFormulaTakesItsBestRecentSetAndNoSlip() {
        Method.BestRecent epley = new Method.BestRecent(RepFormula.EPLEY);
        Life life = life();
        LocalDate evening = life.weeks().get(WEEKS - 1).last();
        double truth = life.weeks().get(WEEKS - 1).standing().get(Lift.SQUAT);
        Map<Lift, MaxOnRecord> starts = Lives.starts(life);
        Method.Telling telling = epley.of(starts);
        assertThat(telling.on(evening, Lift.SQUAT).orElseThrow().max())
                .isCloseTo(life.tested().get(Lift.SQUAT), within(0.051));
        life.sessions().forEach(telling::add);
        Guess guess = telling.on(evening, Lift.SQUAT).orElseThrow();
        assertThat(guess.saysHowSure()).isFalse();
        assertThat(Math.abs(guess.error(truth))).isLessThan(0.25);
        // a load written down in pounds as if it were kilograms is nobody's best
        telling.add(new LiftedSession(
                evening,
                List.of(new LiftedSet(
                        Lift.SQUAT, Mass.ofKg(Math.round(2.2 * guess.max())), 1, Effort.rated(Rpe.of(9))))));
        assertThat(telling.on(evening, Lift.SQUAT)).contains(guess);
    }

    @Test
    void theTableHasARowForEveryMethodAndTheBestFormulaErrsOnceItsOwnError() {
        List<Life> lives = Lives.of(10, 3, lifter -> lifter.live(WEEKS));
        String table = StandingMaxProof.of(StandingMaxProof.methods(), lives).table();
        assertThat(table.lines()).hasSize(2 + 2 + RepFormula.values().length);
        assertThat(table).contains("| Yarbel |").contains("| 1.00 |");
        assertThat(StandingMaxProof.ablations()).hasSize(1 + Ingredient.values().length);
    }

    /** What the application's figures are claimed to be worth, on a few lifters of other seeds than those they were chosen on. */
    @Test
    void theEstimateBeatsTheFormulasAndItsRangeHoldsTheTruth() {
        List<Life> lives = Lives.of(4_000_000, 30, lifter -> lifter.live(40));
        StandingMaxProof proof = StandingMaxProof.of(StandingMaxProof.methods(), lives);
        Score ours = proof.scores().values().iterator().next();
        double best = proof.scores().entrySet().stream()
                .filter(one -> one.getKey() instanceof Method.BestRecent)
                .mapToDouble(one -> one.getValue().ofTheMedianLifter())
                .min()
                .orElseThrow();
        assertThat(ours.ofTheMedianLifter()).isLessThan(0.7 * best);
        assertThat(ours.coverage()).isBetween(0.7, 0.9);
        HabitProof habits = HabitProof.of(lives);
        assertThat(habits.medianBias()).isLessThan(0.4);
        assertThat(habits.medianCurve()).isLessThan(habits.medianUsualCurve());
    }

    @Test
    void aJumpIsNoticedMoreOftenThanNothingIsTakenForOne() {
        assertThat(NoticeProof.of(4_000_000, 15, 0.05).noticed()).isGreaterThan(0.7);
        assertThat(NoticeProof.of(4_000_000, 15, 0).wrongAtALook()).isLessThan(0.2);
    }
}
