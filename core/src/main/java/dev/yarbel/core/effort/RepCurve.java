package dev.yarbel.core.effort;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.math.MathContext;

/**
 * The share of the one-repetition maximum that a lifter can lift for a number of repetitions in all:
 * 1 / (1 + k·(n − 1)).
 *
 * <p>It gives the whole max for a single, as a curve used for planning must, and has one parameter, so that it can be
 * learnt from few sets for each lifter and lift. The larger k, the faster load falls with repetitions.
 *
 * <p>The default k = 0.0364 is the least-squares fit over one to ten repetitions to the table of Haff & Triplett,
 * <i>Essentials of Strength Training and Conditioning</i>, 4th ed. (NSCA): root mean square misfit 0.6 points, largest
 * 1.5 points, at two repetitions. Past ten the table falls faster than the curve (71.4 against 67 % at twelve), one
 * reason why sets beyond twelve never estimate.
 */
public record RepCurve(BigDecimal k) {

    private static final BigDecimal LEAST = new BigDecimal("0.005");
    private static final BigDecimal MOST = new BigDecimal("0.15");

    /** The curve for a lifter and lift about whom nothing is known. */
    public static final RepCurve DEFAULT = of("0.0364");

    public RepCurve {
        if (k.compareTo(LEAST) < 0 || k.compareTo(MOST) > 0) {
            throw new IllegalArgumentException("k lies between " + LEAST + " and " + MOST + ", not " + k);
        }
        k = k.stripTrailingZeros();
    }

    /**
     * A curve of the given steepness.
     *
     * @param k the load lost per further repetition, as a share of the max; from 0.005 to 0.15
     * @throws IllegalArgumentException outside that range
     */
    public static RepCurve of(String k) {
        return new RepCurve(new BigDecimal(k));
    }

    /** The share of the max good for so many repetitions in all; 100 % for one. */
    public Percent share(RepsInAll reps) {
        BigDecimal further = BigDecimal.valueOf(reps.halves() - 2L).divide(BigDecimal.valueOf(2));
        BigDecimal divisor = BigDecimal.ONE.add(k.multiply(further));
        return Percent.ofShare(BigDecimal.ONE.divide(divisor, MathContext.DECIMAL64));
    }

    /** The load for a set of so many repetitions at a rating, from the max. */
    public Mass load(Mass max, int reps, Rpe rpe) {
        return max.times(share(RepsInAll.of(reps, rpe)));
    }

    /** The max that a load lifted for so many repetitions in all speaks for. */
    public Mass max(Mass load, RepsInAll reps) {
        return load.asShareOf(share(reps));
    }
}
