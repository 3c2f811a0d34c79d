package dev.yarbel.core.estimate;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * How a lifter's ratings lean in a lift: what they say is left beyond what is left. Above nothing they say more than there is, and
 * rate too easy; below nothing they hide some.
 *
 * @param reps in repetitions, to a hundredth
 * @param spread one standard deviation
 */
public record RatingBias(BigDecimal reps, BigDecimal spread) {

    private static final int HUNDREDTHS = 2;
    private static final double LEAST = 0.5;

    static RatingBias of(double reps, double spread) {
        return new RatingBias(rounded(reps), rounded(spread));
    }

    private static BigDecimal rounded(double figure) {
        return BigDecimal.valueOf(figure).setScale(HUNDREDTHS, RoundingMode.HALF_UP);
    }

    /** Whether it is at least half a repetition, and four times of five on the same side. */
    public boolean isTelling() {
        double off = Math.abs(reps.doubleValue());
        return off >= LEAST && off >= MaxEstimate.EIGHTY * spread.doubleValue();
    }

    /** By how many half repetitions ratings are to be read otherwise than they are said; nothing until it is telling. */
    public int halvesToRead() {
        return isTelling() ? (int) Math.round(2 * reps.doubleValue()) : 0;
    }

    public boolean ratesTooEasy() {
        return reps.signum() > 0;
    }

    /** About how many repetitions it is, whichever way, in halves. */
    public BigDecimal about() {
        return halves(Math.abs(reps.doubleValue()));
    }

    /** The least it is, four times of five, in halves; nothing where it may go either way. */
    public BigDecimal least() {
        return halves(Math.max(0, Math.abs(reps.doubleValue()) - MaxEstimate.EIGHTY * spread.doubleValue()));
    }

    /** The most it is, four times of five, in halves. */
    public BigDecimal most() {
        return halves(Math.abs(reps.doubleValue()) + MaxEstimate.EIGHTY * spread.doubleValue());
    }

    private static BigDecimal halves(double figure) {
        return BigDecimal.valueOf(Math.round(2 * figure)).divide(BigDecimal.valueOf(2));
    }
}
