package dev.yarbel.core.estimate;

import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * What a lifter does of one thing as a share of another, as it was learnt.
 *
 * @param low of the range that holds it four times of five
 * @param high of it
 */
public record ShareEstimate(Percent share, Percent low, Percent high) {

    private static final int DIGITS = 4;

    /**
     * @param logarithm the natural one of the share
     * @param doubt one standard deviation of it
     */
    static ShareEstimate of(double logarithm, double doubt) {
        return new ShareEstimate(
                percent(logarithm),
                percent(logarithm - MaxEstimate.EIGHTY * doubt),
                percent(logarithm + MaxEstimate.EIGHTY * doubt));
    }

    private static Percent percent(double logarithm) {
        return Percent.ofShare(BigDecimal.valueOf(Math.exp(logarithm)).setScale(DIGITS, RoundingMode.HALF_UP));
    }
}
