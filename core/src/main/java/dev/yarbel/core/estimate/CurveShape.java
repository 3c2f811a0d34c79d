package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.BentCurve;
import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * The arithmetic of {@link BentCurve} with its derivatives, in plain figures.
 *
 * @param steepness k, above nothing
 * @param bend c, from 0.1 to 2.5
 */
record CurveShape(double steepness, double bend) {

    /** The fit to the published table, as the curve that loads are planned by has it. */
    static final double USUAL_STEEPNESS = 0.0364;

    static final double LEAST_BEND = 0.1;
    static final double MOST_BEND = 2.5;
    private static final double LEAST_STEEPNESS = 0.01;
    private static final double MOST_STEEPNESS = 0.12;
    private static final int STEEPNESS_DIGITS = 5;
    private static final int BEND_DIGITS = 3;
    private static final double MOST_REPS = 30;
    private static final int HALVINGS = 50;

    /** The curve of what is unknown of it: the logarithm of how much steeper it is than the usual one, and its bend. */
    static CurveShape of(double steeper, double bend) {
        return new CurveShape(USUAL_STEEPNESS * Math.exp(steeper), Math.max(LEAST_BEND, Math.min(MOST_BEND, bend)));
    }

    /** The curve through two points; as near as the bend goes where none reaches them. */
    static CurveShape through(double few, double shareForFew, double many, double shareForMany) {
        double wanted = (1 / shareForMany - 1) / (1 / shareForFew - 1);
        double low = LEAST_BEND;
        double high = MOST_BEND;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (rise(many, middle) / rise(few, middle) < wanted) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return new CurveShape((1 / shareForFew - 1) / rise(few, low), low);
    }

    /** As loads are planned by it, within what a curve can be. */
    BentCurve toCurve() {
        return new BentCurve(
                rounded(Math.max(LEAST_STEEPNESS, Math.min(MOST_STEEPNESS, steepness)), STEEPNESS_DIGITS),
                rounded(bend, BEND_DIGITS));
    }

    private static BigDecimal rounded(double figure, int digits) {
        return BigDecimal.valueOf(figure).setScale(digits, RoundingMode.HALF_UP);
    }

    private static double rise(double reps, double bend) {
        return (Math.pow(reps, bend) - 1) / bend;
    }

    /** How far the max lies above a load that is good for so many repetitions, as a share of the load; below nothing for less than one. */
    double over(double reps) {
        return reps <= 1 ? steepness * (reps - 1) : steepness * rise(reps, bend);
    }

    /**
     * The repetitions that a load is good for, and how they hang on the curve.
     *
     * @param reps up to 30, where nothing hangs on anything any more; less than one where the load lies above the max
     * @param byOver the derivative by how far the max lies above the load
     * @param bySteepness by the logarithm of the steepness
     */
    record Reps(double reps, double byOver, double bySteepness, double byBend) {}

    /**
     * Their number alone.
     *
     * @param over how far the max lies above the load, as a share of the load
     */
    double count(double over) {
        if (over <= 0) {
            return 1 + over / steepness;
        }
        return Math.min(MOST_REPS, Math.exp(Math.log1p(bend * over / steepness) / bend));
    }

    /**
     * @param over how far the max lies above the load, as a share of the load
     */
    Reps reps(double over) {
        if (over <= 0) {
            return new Reps(1 + over / steepness, 1 / steepness, -over / steepness, 0);
        }
        double base = 1 + bend * over / steepness;
        double reps = Math.pow(base, 1 / bend);
        if (reps >= MOST_REPS) {
            return new Reps(MOST_REPS, 0, 0, 0);
        }
        double byOver = reps / base / steepness;
        double byBend = reps * (over / steepness / (bend * base) - Math.log(base) / (bend * bend));
        return new Reps(reps, byOver, -byOver * over, byBend);
    }
}
