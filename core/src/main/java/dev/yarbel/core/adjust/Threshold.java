package dev.yarbel.core.adjust;

import java.math.BigDecimal;

/**
 * From where on a rule speaks: one figure that a coach may set, and that grows by half a step where they keep leaving what the
 * rule finds.
 *
 * @param usual where it stands when nobody set it
 * @param step how far it goes at once; half of it is learnt at a time
 * @param least below it the rule would speak of noise
 * @param most above it the rule would be silent for good
 * @param unit what it counts
 */
public record Threshold(BigDecimal usual, BigDecimal step, BigDecimal least, BigDecimal most, Unit unit) {

    private static final BigDecimal TWO = BigDecimal.valueOf(2);

    /** What a threshold counts. */
    public enum Unit {
        POINTS,
        PERCENT,
        DAYS,
        REPS,
        SETS,
        SESSIONS,
        /** Hundredths of a metre a second. */
        SPEED,
        /** Sources of fatigue that speak. */
        SIGNS
    }

    public Threshold {
        if (step.signum() <= 0 || least.signum() < 0 || usual.compareTo(least) < 0 || most.compareTo(usual) < 0) {
            throw new IllegalArgumentException("a threshold lies between its least and its most");
        }
    }

    static Threshold of(String usual, String step, String least, String most, Unit unit) {
        return new Threshold(
                new BigDecimal(usual), new BigDecimal(step), new BigDecimal(least), new BigDecimal(most), unit);
    }

    /** Half a step higher, no further than {@link #most}. */
    public BigDecimal raised(BigDecimal from) {
        return from.add(step.divide(TWO)).min(most);
    }

    /** Whether a coach may set it there. */
    public boolean allows(BigDecimal figure) {
        return figure.compareTo(least) >= 0 && figure.compareTo(most) <= 0;
    }
}
