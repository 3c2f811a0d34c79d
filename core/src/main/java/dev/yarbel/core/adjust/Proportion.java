package dev.yarbel.core.adjust;

import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;

/**
 * How many of how many, and what share that speaks for.
 *
 * @param of from 0 to {@code in}
 * @param in from 0 on
 */
public record Proportion(int of, int in) {

    /** Fewer than this say nothing; a starting value of ours. */
    private static final int TOO_FEW = 5;

    /** Between it and its opposite lie 80 % of a standard normal distribution. */
    private static final double EIGHTY = 1.2816;

    public Proportion {
        if (of < 0 || of > in) {
            throw new IllegalArgumentException(of + " of " + in);
        }
    }

    /** Whether there are too few to speak of a share. */
    public boolean isTooFew() {
        return in < TOO_FEW;
    }

    /** The share itself; 0 % of none. */
    public Percent share() {
        return in == 0 ? Percent.ZERO : Percent.ratio(of, in);
    }

    /** The low end of the range that holds the true share four times of five: Wilson, J. Am. Stat. Assoc. 22 (1927). */
    public Percent low() {
        return end(-1);
    }

    /** The high end of it. */
    public Percent high() {
        return end(1);
    }

    private Percent end(int side) {
        if (in == 0) {
            return side < 0 ? Percent.ZERO : Percent.HUNDRED;
        }
        double n = in;
        double p = of / n;
        double squared = EIGHTY * EIGHTY;
        double middle = p + squared / (2 * n);
        double half = EIGHTY * Math.sqrt(p * (1 - p) / n + squared / (4 * n * n));
        double end = Math.min(1, Math.max(0, (middle + side * half) / (1 + squared / n)));
        return Percent.ofShare(BigDecimal.valueOf(end));
    }
}
