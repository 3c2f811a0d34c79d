package dev.yarbel.core.estimate;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DefaultRealMatrixChangingVisitor;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.linear.RectangularCholeskyDecomposition;

/**
 * A normal distribution of what is unknown of a lifter: a mean for each, and how their doubts hang together.
 *
 * <p>Corrections are those of the Kalman filter for one measured figure at a time. The covariance is corrected in the form that
 * holds for any gain (Bar-Shalom, Li and Kirubarajan 2001, <i>Estimation with Applications to Tracking and Navigation</i>, 5.2.3).
 */
final class Gaussian {

    /** A variance below which something is known for sure. */
    private static final double AS_GOOD_AS_NOTHING = 1e-11;

    private final Map<Unknown, Integer> places;
    private RealVector mean;
    private RealMatrix covariance;

    private Gaussian(Map<Unknown, Integer> places, RealVector mean, RealMatrix covariance) {
        this.places = places;
        this.mean = mean;
        this.covariance = covariance;
    }

    /** Nothing is unknown yet. */
    static Gaussian empty() {
        return new Gaussian(new LinkedHashMap<>(), new ArrayRealVector(0), new Array2DRowRealMatrix());
    }

    Gaussian copy() {
        return new Gaussian(
                new LinkedHashMap<>(places), mean.copy(), places.isEmpty() ? covariance : covariance.copy());
    }

    boolean knows(Unknown unknown) {
        return places.containsKey(unknown);
    }

    /** The unknowns of a kind, in the order in which they were added. */
    <T extends Unknown> Stream<T> ofKind(Class<T> kind) {
        return places.keySet().stream().filter(kind::isInstance).map(kind::cast);
    }

    double mean(Unknown unknown) {
        return mean.getEntry(place(unknown));
    }

    double variance(Unknown unknown) {
        int at = place(unknown);
        return covariance.getEntry(at, at);
    }

    double covariance(Unknown one, Unknown other) {
        return covariance.getEntry(place(one), place(other));
    }

    private int place(Unknown unknown) {
        Integer at = places.get(unknown);
        if (at == null) {
            throw new IllegalArgumentException("nothing is known of " + unknown);
        }
        return at;
    }

    /** One more unknown, whose doubt has nothing to do with the others'. */
    void add(Unknown unknown, double at, double doubt) {
        int n = places.size();
        if (places.putIfAbsent(unknown, n) != null) {
            throw new IllegalArgumentException(unknown + " is known");
        }
        mean = mean.append(at);
        RealMatrix larger = new Array2DRowRealMatrix(n + 1, n + 1);
        if (n > 0) {
            larger.setSubMatrix(covariance.getData(), 0, 0);
        }
        larger.setEntry(n, n, doubt * doubt);
        covariance = larger;
    }

    /** The unknown keeps a share of what it is, and its doubt grows. */
    void fade(Unknown unknown, double keeps, double addedVariance) {
        int at = place(unknown);
        mean.setEntry(at, keeps * mean.getEntry(at));
        for (int i = 0; i < places.size(); i++) {
            covariance.setEntry(at, i, keeps * covariance.getEntry(at, i));
            covariance.setEntry(i, at, keeps * covariance.getEntry(i, at));
        }
        covariance.addToEntry(at, at, addedVariance);
    }

    /** The doubts of two unknowns grow together; of one alone where both are the same. */
    void widen(Unknown one, Unknown other, double addedCovariance) {
        covariance.addToEntry(place(one), place(other), addedCovariance);
    }

    /** The doubts of all unknowns of a kind grow. */
    void widenEach(Class<? extends Unknown> kind, double addedVariance) {
        places.forEach((unknown, at) -> {
            if (kind.isInstance(unknown)) {
                covariance.addToEntry(at, at, addedVariance);
            }
        });
    }

    void shift(Unknown unknown, double by) {
        mean.addToEntry(place(unknown), by);
    }

    /** An unknown grows by so many times another one, which is no surer than it was. */
    void addTo(Unknown unknown, Unknown growth, double times) {
        int to = place(unknown);
        int from = place(growth);
        mean.addToEntry(to, times * mean.getEntry(from));
        for (int i = 0; i < places.size(); i++) {
            covariance.addToEntry(to, i, times * covariance.getEntry(from, i));
        }
        for (int i = 0; i < places.size(); i++) {
            covariance.addToEntry(i, to, times * covariance.getEntry(i, from));
        }
    }

    /** How a figure hangs on what is unknown: the derivative by each. */
    RealVector slope(Map<Unknown, Double> derivatives) {
        RealVector slope = new ArrayRealVector(places.size());
        derivatives.forEach((unknown, derivative) -> slope.setEntry(place(unknown), derivative));
        return slope;
    }

    /** The variance of a figure that hangs on what is unknown, mostly on little of it. */
    double varianceOf(RealVector slope) {
        double variance = 0;
        for (int i = 0; i < slope.getDimension(); i++) {
            double one = slope.getEntry(i);
            for (int j = 0; one != 0 && j < slope.getDimension(); j++) {
                double other = slope.getEntry(j);
                variance += other == 0 ? 0 : one * other * covariance.getEntry(i, j);
            }
        }
        return variance;
    }

    /** The variance that one figure would have after another one was measured with so much noise. */
    double varianceAfter(RealVector of, RealVector measured, double noise) {
        RealVector crossed = covariance.operate(measured);
        double shared = of.dotProduct(crossed);
        return varianceOf(of) - shared * shared / (measured.dotProduct(crossed) + noise);
    }

    /**
     * Corrects by a measured figure.
     *
     * @param innovation what was measured less what was expected
     * @param noise the variance of the measurement
     */
    void correct(RealVector slope, double innovation, double noise) {
        correct(slope, innovation, noise, Optional.empty());
    }

    /**
     * The same for one unknown alone. What the others are is taken into account, and what they are not sure of, but they learn nothing:
     * the consider filter of Schmidt (1966, <i>Advances in Control Systems</i> 3; Jazwinski 1970, 8.4).
     */
    void correct(RealVector slope, double innovation, double noise, Optional<Unknown> alone) {
        RealVector crossed = covariance.operate(slope);
        double variance = slope.dotProduct(crossed) + noise;
        move(gain(crossed, variance, alone), crossed, variance, innovation, 0);
    }

    private RealVector gain(RealVector crossed, double variance, Optional<Unknown> alone) {
        RealVector gain = crossed.mapDivide(variance);
        alone.ifPresent(unknown -> {
            double own = gain.getEntry(place(unknown));
            gain.set(0);
            gain.setEntry(place(unknown), own);
        });
        return gain;
    }

    /**
     * Corrects by the knowledge that a figure lies within bounds: the normal distribution of the same mean and variance as
     * what is left of it between them takes its place (Simon and Simon 2010, <i>Constrained Kalman filtering via density function
     * truncation</i>, Int J Systems Science 41).
     *
     * @param expected the figure that is expected
     * @param noise the variance of what the bounds hold for beyond what is unknown
     * @param alone the one unknown that learns by it; empty where all do
     * @return how likely the bounds were; too unlikely ones change nothing
     */
    double bound(
            RealVector slope,
            double expected,
            double noise,
            Bounds bounds,
            double leastLikely,
            Optional<Unknown> alone) {
        RealVector crossed = covariance.operate(slope);
        double variance = slope.dotProduct(crossed) + noise;
        double spread = Math.sqrt(variance);
        Optional<Bounds.Within> within = bounds.of(expected, spread);
        if (within.isEmpty() || within.get().likelihood() < leastLikely) {
            return within.map(Bounds.Within::likelihood).orElse(0.0);
        }
        move(
                gain(crossed, variance, alone),
                crossed,
                variance,
                within.get().mean() - expected,
                within.get().variance());
        return within.get().likelihood();
    }

    /** Values of all unknowns together, one set after another; what is known for sure is always the same. */
    Draws draws() {
        return new Draws(
                places, mean, new RectangularCholeskyDecomposition(covariance, AS_GOOD_AS_NOTHING).getRootMatrix());
    }

    /**
     * Where values are drawn from.
     *
     * @param root a root of the covariance (Higham 1990, <i>Analysis of the Cholesky decomposition of a semi-definite matrix</i>)
     */
    record Draws(Map<Unknown, Integer> places, RealVector mean, RealMatrix root) {

        /** The next set of values. */
        ToDoubleFunction<Unknown> next(RandomGenerator random) {
            double[] normal = new double[root.getColumnDimension()];
            Arrays.setAll(normal, i -> random.nextGaussian());
            double[] values =
                    mean.add(root.operate(new ArrayRealVector(normal, false))).toArray();
            return unknown -> values[places.get(unknown)];
        }
    }

    private void move(RealVector gain, RealVector crossed, double variance, double innovation, double left) {
        mean = mean.add(gain.mapMultiply(innovation));
        covariance.walkInOptimizedOrder(new DefaultRealMatrixChangingVisitor() {
            @Override
            public double visit(int row, int column, double value) {
                return value
                        - gain.getEntry(row) * crossed.getEntry(column)
                        - crossed.getEntry(row) * gain.getEntry(column)
                        + (variance + left) * gain.getEntry(row) * gain.getEntry(column);
            }
        });
    }
}
