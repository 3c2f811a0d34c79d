package dev.yarbel.lab.lifter;

import java.util.function.DoubleUnaryOperator;

/**
 * Shapes of the share of the max good for so many repetitions. All give the whole max for a single. Lifters are drawn from all
 * of them, so that no estimate knows the shape it has to do with.
 */
public enum RepFamily {
    /** The shape of the curve that Yarbel plans with: 1/(1 + k(n − 1)). */
    HYPERBOLA(n -> 1 / (1 + 0.0364 * (n - 1))),
    /** A straight line, as Brzycki 1993 has it. */
    LINE(n -> (37 - n) / 36),
    /** A power, as Lombardi 1989 has it. */
    POWER(n -> Math.pow(n, -0.10)),
    /** A falling exponential with a floor, as Mayhew et al. 1992 have it, scaled to the whole max for a single. */
    EXPONENTIAL(n -> (52.2 + 41.9 * Math.exp(-0.055 * n)) / (52.2 + 41.9 * Math.exp(-0.055)));

    private static final double MOST_REPS = 30;

    private final DoubleUnaryOperator share;

    RepFamily(DoubleUnaryOperator share) {
        this.share = share;
    }

    /**
     * The share of the max good for so many repetitions to the limit.
     *
     * @param reps 1 to 30, also between whole ones
     * @param steepness how much faster than usual load falls with repetitions; 1 is usual
     */
    public double share(double reps, double steepness) {
        return share.applyAsDouble(1 + (Math.min(MOST_REPS, reps) - 1) * steepness);
    }

    /** How many repetitions to the limit a share of the max is good for, up to 30; less than one above the max. */
    public double repsAt(double of, double steepness) {
        if (of >= 1) {
            return 1 / of;
        }
        double few = 1;
        double many = MOST_REPS;
        for (int i = 0; i < 40; i++) {
            double middle = (few + many) / 2;
            if (share(middle, steepness) > of) {
                few = middle;
            } else {
                many = middle;
            }
        }
        return few;
    }
}
