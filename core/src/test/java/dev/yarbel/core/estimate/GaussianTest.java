package dev.yarbel.core.estimate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.hipparchus.filtering.kalman.Measurement;
import org.hipparchus.filtering.kalman.ProcessEstimate;
import org.hipparchus.filtering.kalman.linear.LinearEvolution;
import org.hipparchus.filtering.kalman.linear.LinearKalmanFilter;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposer;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Test;

class GaussianTest {

    private static final Unknown FORM = Unknown.OfLifter.FORM;
    private static final Unknown BIAS = Unknown.OfLifter.BIAS;
    private static final Unknown GAIN = Unknown.OfLifter.GAIN;
    private static final double[] AT = {0.3, -1, 0.02};
    private static final double[] DOUBT = {0.5, 0.7, 0.2};

    private static Gaussian three() {
        Gaussian gaussian = Gaussian.empty();
        gaussian.add(FORM, AT[0], DOUBT[0]);
        gaussian.add(BIAS, AT[1], DOUBT[1]);
        gaussian.add(GAIN, AT[2], DOUBT[2]);
        return gaussian;
    }

    private record Seen(double time, double[] slope, double figure, double noise) implements Measurement {

        @Override
        public double getTime() {
            return time;
        }

        @Override
        public RealVector getValue() {
            return new ArrayRealVector(new double[] {figure});
        }

        @Override
        public RealMatrix getCovariance() {
            return new Array2DRowRealMatrix(new double[][] {{noise}});
        }
    }

    /** Fading, one unknown growing by another, and corrections by single figures, beside Hipparchus's own linear filter. */
    @Test
    void aLinearCaseEqualsTheLibrarysFilter() {
        Random random = new Random(7);
        Seen[] seen = IntStream.rangeClosed(1, 40)
                .mapToObj(time -> new Seen(
                        time,
                        new double[] {random.nextGaussian(), random.nextGaussian(), random.nextGaussian()},
                        2 * random.nextGaussian(),
                        0.1 + random.nextDouble()))
                .toArray(Seen[]::new);
        // form keeps 0.8 of itself, the bias grows by half the gain
        RealMatrix transition = new Array2DRowRealMatrix(new double[][] {{0.8, 0, 0}, {0, 1, 0.5}, {0, 0, 1}});
        RealMatrix added = MatrixUtils.createRealDiagonalMatrix(new double[] {0.09, 0.01, 0});
        LinearKalmanFilter<Seen> library = new LinearKalmanFilter<>(
                new CholeskyDecomposer(1e-15, 1e-15),
                one -> new LinearEvolution(
                        transition,
                        new Array2DRowRealMatrix(3, 1),
                        new ArrayRealVector(1),
                        added,
                        new Array2DRowRealMatrix(new double[][] {one.slope()})),
                new ProcessEstimate(
                        0, new ArrayRealVector(AT), MatrixUtils.createRealDiagonalMatrix(new double[] {0.25, 0.49, 0.04
                        })));
        Gaussian ours = three();
        for (Seen one : seen) {
            ProcessEstimate theirs = library.estimationStep(one);
            ours.fade(FORM, 0.8, 0.09);
            ours.addTo(BIAS, GAIN, 0.5);
            ours.widen(BIAS, BIAS, 0.01);
            RealVector slope = ours.slope(Map.of(FORM, one.slope()[0], BIAS, one.slope()[1], GAIN, one.slope()[2]));
            double expected = one.slope()[0] * ours.mean(FORM)
                    + one.slope()[1] * ours.mean(BIAS)
                    + one.slope()[2] * ours.mean(GAIN);
            ours.correct(slope, one.figure() - expected, one.noise());
            assertThat(Stream.of(FORM, BIAS, GAIN).mapToDouble(ours::mean).toArray())
                    .containsExactly(theirs.getState().toArray(), within(1e-9));
            assertThat(ours.covariance(BIAS, GAIN))
                    .isCloseTo(theirs.getCovariance().getEntry(1, 2), within(1e-9));
            assertThat(ours.variance(FORM)).isCloseTo(theirs.getCovariance().getEntry(0, 0), within(1e-9));
        }
    }

    /** Half of a standard normal distribution has the mean √(2/π) and the variance 1 − 2/π. */
    @Test
    void aBoundLeavesWhatIsLeftOfTheDistribution() {
        Bounds.Within half = Bounds.above(0).of(0, 1).orElseThrow();
        assertThat(half.likelihood()).isCloseTo(0.5, within(1e-12));
        assertThat(half.mean()).isCloseTo(Math.sqrt(2 / Math.PI), within(1e-12));
        assertThat(half.variance()).isCloseTo(1 - 2 / Math.PI, within(1e-12));
        Bounds.Within below = Bounds.below(3).of(3, 2).orElseThrow();
        assertThat(below.mean()).isCloseTo(3 - 2 * Math.sqrt(2 / Math.PI), within(1e-12));
    }

    @Test
    void betweenTwoBoundsItIsWhatIntegrationGives() {
        double mass = 0;
        double first = 0;
        double second = 0;
        double step = 1e-4;
        for (double x = 2 + step / 2; x < 3; x += step) {
            double density = Math.exp(-(x - 1.2) * (x - 1.2) / (2 * 0.49));
            mass += density;
            first += x * density;
            second += x * x * density;
        }
        Bounds.Within within = new Bounds(2, 3).of(1.2, 0.7).orElseThrow();
        assertThat(within.mean()).isCloseTo(first / mass, within(1e-6));
        assertThat(within.variance()).isCloseTo(second / mass - first / mass * first / mass, within(1e-6));
    }

    @Test
    void aBoundFarFromWhatIsBelievedChangesNothing() {
        Gaussian gaussian = three();
        RealVector slope = gaussian.slope(Map.of(FORM, 1.0));
        assertThat(gaussian.bound(slope, 0.3, 0.01, Bounds.above(4), 0.001, Optional.empty()))
                .isLessThan(0.001);
        assertThat(gaussian.mean(FORM)).isEqualTo(0.3);
        assertThat(Bounds.above(40).of(0, 1)).isEmpty();
        assertThat(gaussian.bound(slope, 0.3, 0.01, Bounds.above(0.3), 0.001, Optional.empty()))
                .isCloseTo(0.5, within(1e-12));
        assertThat(gaussian.mean(FORM)).isGreaterThan(0.3);
        assertThat(gaussian.variance(FORM)).isLessThan(0.25);
    }

    /** The one unknown learns what it would have learnt with the others; of those nothing moves, mean or doubt. */
    @Test
    void whoeverIsOnlyConsideredLearnsNothing() {
        Gaussian all = three();
        Gaussian alone = three();
        RealVector slope = all.slope(Map.of(FORM, 1.0, BIAS, 0.5, GAIN, 2.0));
        all.correct(slope, 0.4, 0.1);
        alone.correct(slope, 0.4, 0.1, Optional.of(BIAS));
        assertThat(alone.mean(BIAS)).isCloseTo(all.mean(BIAS), within(1e-12));
        assertThat(alone.variance(BIAS)).isCloseTo(all.variance(BIAS), within(1e-12));
        for (Unknown other : new Unknown[] {FORM, GAIN}) {
            assertThat(alone.mean(other)).isEqualTo(three().mean(other));
            assertThat(alone.variance(other)).isEqualTo(three().variance(other));
            assertThat(alone.covariance(other, BIAS)).isCloseTo(alone.covariance(BIAS, other), within(1e-12));
        }
        assertThat(alone.covariance(FORM, BIAS)).isNegative();
    }
}
