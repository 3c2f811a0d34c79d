package dev.yarbel.lab.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.lab.lifter.TrainedLifter;
import dev.yarbel.lab.plan.Lived;
import dev.yarbel.lab.plan.PlainWays;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/** What is claimed of the calls, on a few lifters; the figures themselves are measured on more, and on others. */
class CallsProofTest {

    private static TrainedLifter trained(double share, int weeks) {
        TrainedLifter lifter = TrainedLifter.of(5);
        double max = lifter.standing(Lift.SQUAT);
        for (int day = 0; day < 7 * weeks; day++) {
            lifter.day();
            for (int set = 0; day % 2 == 0 && set < 8; set++) {
                lifter.lift(Lift.SQUAT, share * max, 5);
            }
            lifter.over(Lift.SQUAT);
        }
        return lifter;
    }

    @Test
    void aLifterBecomesWhatTheyAreMadeToDo() {
        double before = TrainedLifter.of(5).standing(Lift.SQUAT);
        double easy = trained(0.4, 8).standing(Lift.SQUAT) / before;
        double sound = trained(0.75, 8).standing(Lift.SQUAT) / before;
        assertThat(sound).isGreaterThan(easy);
        assertThat(trained(0.4, 8).overreached()).isZero();
        assertThat(trained(0.9, 8).overreached()).isGreaterThan(0.03);
    }

    @Test
    void theSameSeedUnderTheSamePlanLivesTheSameLife() {
        assertThat(Lived.of(TrainedLifter.of(7), PlainWays.byFeel(), 8))
                .isEqualTo(Lived.of(TrainedLifter.of(7), PlainWays.byFeel(), 8));
    }

    @Test
    void slipsThatAreTakenBringSetsNearerTheirTargetAndMissFewer() {
        CallsProof proof = CallsProof.of(100, 12);
        assertThat(proof.onTarget(CallsProof.TAKEN)).isGreaterThan(proof.onTarget(CallsProof.FIXED));
        assertThat(proof.missed(CallsProof.TAKEN)).isLessThan(proof.missed(CallsProof.FIXED) / 2);
        assertThat(proof.gain(CallsProof.TAKEN)).isGreaterThan(proof.gain(CallsProof.FIXED));
        assertThat(proof.missed(CallsProof.TAKEN)).isLessThan(proof.missed(CallsProof.LEFT));
    }

    @Test
    void overreachingThatNobodyAsksAboutIsFoundByNobody() {
        assertThat(LongStream.range(100, 112)
                        .mapToObj(seed -> {
                            TrainedLifter lifter = TrainedLifter.of(seed);
                            return Lived.of(lifter, PlainWays.crude(lifter), 24);
                        })
                        .mapToInt(lived -> lived.found().size())
                        .sum())
                .isZero();
    }
}
