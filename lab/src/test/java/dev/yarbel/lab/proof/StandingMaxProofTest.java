package dev.yarbel.lab.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.estimate.StartingMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.lab.lifter.Life;
import dev.yarbel.lab.lifter.SimulatedLifter;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The measure itself, held against methods of which it is known how far they are off. */
class StandingMaxProofTest {

    private static final long SEED = 3;
    private static final int WEEKS = 20;

    /** Knows the truth of the one lifter of the seed, and says so much more or less. */
    private record Knows(String name, double factor, double spread) implements Method {

        @Override
        public Optional<Guess> on(LocalDate day, Lift lift, StartingMax start, List<LiftedSession> sessions) {
            Life life = SimulatedLifter.of(SEED).live(WEEKS);
            double truth = life.weeks().stream()
                    .filter(week -> week.last().equals(day))
                    .findFirst()
                    .orElseThrow()
                    .standing()
                    .get(lift);
            return Optional.of(new Guess(truth * factor, truth * spread));
        }
    }

    private static Score score(Method method) {
        return StandingMaxProof.of(List.of(method), SEED, 1, WEEKS).scores().get(method);
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
        assertThat(score.leaning()).isCloseTo(-0.1, within(1e-9));
        assertThat(score.coverage()).isZero();
        assertThat(score(new Knows("low, and wide", 0.9, 0.1)).coverage()).isEqualTo(1);
    }

    @Test
    void aFormulaTakesItsBestRecentSetAndNoSlip() {
        Method.BestRecent epley = new Method.BestRecent(RepFormula.EPLEY);
        Life life = SimulatedLifter.of(SEED).live(WEEKS);
        LocalDate evening = life.weeks().get(WEEKS - 1).last();
        double truth = life.weeks().get(WEEKS - 1).standing().get(Lift.SQUAT);
        StartingMax start = new StartingMax(Mass.ofKg(100), life.first());
        Guess guess = epley.on(evening, Lift.SQUAT, start, life.sessions()).orElseThrow();
        assertThat(guess.saysHowSure()).isFalse();
        assertThat(Math.abs(guess.error(truth))).isLessThan(0.25);
        // a load written down in pounds as if it were kilograms is nobody's best
        LiftedSet slip =
                new LiftedSet(Lift.SQUAT, Mass.ofKg(Math.round(2.2 * guess.max())), 1, Effort.rated(Rpe.of(9)));
        List<LiftedSession> withSlip = new ArrayList<>(life.sessions());
        withSlip.add(new LiftedSession(evening, List.of(slip)));
        assertThat(epley.on(evening, Lift.SQUAT, start, withSlip)).contains(guess);
        assertThat(epley.on(evening, Lift.SQUAT, start, List.of()).orElseThrow().max())
                .isEqualTo(100);
    }

    @Test
    void theTableHasARowForEveryMethodAndTheBestFormulaErrsOnceItsOwnError() {
        StandingMaxProof proof = StandingMaxProof.of(StandingMaxProof.methods(), 10, 3, WEEKS);
        String table = proof.table();
        assertThat(table.lines()).hasSize(2 + 1 + RepFormula.values().length);
        assertThat(table).contains("| Yarbel, in use |").contains("| 1.00 |");
    }
}
