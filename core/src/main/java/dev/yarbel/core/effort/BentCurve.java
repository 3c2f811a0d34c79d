package dev.yarbel.core.effort;

import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The share 1 / (1 + k·(n<sup>c</sup> − 1)/c) for n repetitions in all: the curve of one parameter where the bend c is 1, straighter
 * below it and more bent above. It is what is learnt of a lifter from how their sets of many and of few repetitions go together.
 *
 * @param k the steepness, from 0.005 to 0.15
 * @param bend from 0.1 to 2.5
 */
public record BentCurve(BigDecimal k, BigDecimal bend) implements RepCurve {

    private static final Pattern KEY = Pattern.compile("(0\\.\\d{1,8})\\^(\\d(?:\\.\\d{1,4})?)");
    private static final double LEAST_BEND = 0.1;
    private static final double MOST_BEND = 2.5;

    public BentCurve {
        OneParameterCurve.check(k);
        if (bend.doubleValue() < LEAST_BEND || bend.doubleValue() > MOST_BEND) {
            throw new IllegalArgumentException("a bend lies between " + LEAST_BEND + " and " + MOST_BEND);
        }
        k = k.stripTrailingZeros();
        bend = bend.stripTrailingZeros();
    }

    /** Reads what {@link #key} writes; empty when it is something else. */
    static Optional<BentCurve> of(String key) {
        Matcher matcher = KEY.matcher(key);
        return matcher.matches()
                ? Optional.of(new BentCurve(new BigDecimal(matcher.group(1)), new BigDecimal(matcher.group(2))))
                : Optional.empty();
    }

    @Override
    public Percent share(RepsInAll reps) {
        double c = bend.doubleValue();
        double over = k.doubleValue() * (Math.pow(reps.halves() / 2.0, c) - 1) / c;
        return Percent.ofShare(BigDecimal.valueOf(1 / (1 + over)));
    }

    @Override
    public Optional<RepFormula> formula() {
        return Optional.empty();
    }

    @Override
    public String key() {
        return k.toPlainString() + "^" + bend.toPlainString();
    }
}
