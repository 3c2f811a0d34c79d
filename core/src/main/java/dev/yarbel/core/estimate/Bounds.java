package dev.yarbel.core.estimate;

import java.util.Optional;
import org.hipparchus.special.Erf;

/** Between two figures, either of which may be infinite. */
record Bounds(double low, double high) {

    private static final double ROOT_TWO = Math.sqrt(2);
    private static final double ROOT_TWO_PI = Math.sqrt(2 * Math.PI);
    private static final double HARDLY_EVER = 1e-12;

    static Bounds above(double low) {
        return new Bounds(low, Double.POSITIVE_INFINITY);
    }

    static Bounds below(double high) {
        return new Bounds(Double.NEGATIVE_INFINITY, high);
    }

    /**
     * What is left of a normal distribution between the bounds.
     *
     * @param likelihood how much of it lies there
     */
    record Within(double likelihood, double mean, double variance) {}

    /** What is left of the normal distribution; empty where next to nothing lies there. */
    Optional<Within> of(double mean, double spread) {
        double a = (low - mean) / spread;
        double b = (high - mean) / spread;
        double likelihood = a > 0
                ? (Erf.erfc(a / ROOT_TWO) - Erf.erfc(b / ROOT_TWO)) / 2
                : (Erf.erfc(-b / ROOT_TWO) - Erf.erfc(-a / ROOT_TWO)) / 2;
        if (likelihood < HARDLY_EVER) {
            return Optional.empty();
        }
        double moved = (density(a) - density(b)) / likelihood;
        double narrowed = 1 + (edge(a) - edge(b)) / likelihood - moved * moved;
        return Optional.of(new Within(likelihood, mean + spread * moved, spread * spread * Math.max(0, narrowed)));
    }

    private static double density(double z) {
        return Double.isInfinite(z) ? 0 : Math.exp(-z * z / 2) / ROOT_TWO_PI;
    }

    private static double edge(double z) {
        return Double.isInfinite(z) ? 0 : z * density(z);
    }
}
