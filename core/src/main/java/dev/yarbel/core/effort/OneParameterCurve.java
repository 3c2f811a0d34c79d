package dev.yarbel.core.effort;

import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * The share 1 / (1 + k·(n − 1)) for n repetitions in all.
 *
 * <p>It gives the whole max for a single, as a curve used for planning must, and has one parameter, so that it can be
 * learnt from few sets for each lifter and lift. The larger k, the faster load falls with repetitions.
 *
 * <p>The default k = 0.0364 is the least-squares fit over one to ten repetitions to the table of Haff & Triplett,
 * <i>Essentials of Strength Training and Conditioning</i>, 4th ed. (NSCA): root mean square misfit 0.6 points, largest
 * 1.5 points, at two repetitions. Past ten the table falls faster than the curve (71.4 against 67 % at twelve), one
 * reason why sets beyond twelve never estimate.
 */
public record OneParameterCurve(BigDecimal k) implements RepCurve {

    private static final double LEAST = 0.005;
    private static final double MOST = 0.15;

    public OneParameterCurve {
        check(k);
        k = k.stripTrailingZeros();
    }

    static void check(BigDecimal k) {
        if (k.doubleValue() < LEAST || k.doubleValue() > MOST) {
            throw new IllegalArgumentException("k lies between " + LEAST + " and " + MOST + ", not " + k);
        }
    }

    /**
     * A curve of the given steepness.
     *
     * @param k the load lost per further repetition, as a share of the max; from 0.005 to 0.15
     * @throws IllegalArgumentException outside that range
     */
    public static OneParameterCurve of(String k) {
        return new OneParameterCurve(new BigDecimal(k));
    }

    @Override
    public Percent share(RepsInAll reps) {
        // over a common denominator: one in two tenthousandths, or however fine k is
        long whole = 2 * BigDecimal.TEN.pow(Math.max(0, k.scale())).longValueExact();
        long lost = Math.multiplyExact(
                k.setScale(Math.max(0, k.scale())).unscaledValue().longValueExact(), reps.halves() - 2L);
        return Percent.ratio(whole, Math.addExact(whole, lost));
    }

    @Override
    public Optional<RepFormula> formula() {
        return Optional.empty();
    }

    @Override
    public String key() {
        return k.toPlainString();
    }
}
