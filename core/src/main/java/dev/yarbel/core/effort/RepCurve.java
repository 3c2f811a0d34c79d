package dev.yarbel.core.effort;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * The share of the one-repetition maximum that a lifter can lift for a number of repetitions in all; the whole max for a
 * single, and never more for more repetitions.
 */
public sealed interface RepCurve permits OneParameterCurve, BentCurve, RepFormula {

    /** The curve for a lifter and lift about whom nothing is known. */
    RepCurve DEFAULT = OneParameterCurve.of("0.0364");

    /**
     * The curve of a key: a steepness such as {@code 0.0364}, one with a bend such as {@code 0.0364^1.2}, or a formula's name
     * such as {@code epley}.
     *
     * @throws IllegalArgumentException when there is none of that key
     */
    static RepCurve parse(String key) {
        return RepFormula.of(key)
                .map(RepCurve.class::cast)
                .or(() -> BentCurve.of(key))
                .orElseGet(() -> {
                    try {
                        return new OneParameterCurve(new BigDecimal(key));
                    } catch (NumberFormatException noNumber) {
                        throw new IllegalArgumentException("no such curve: " + key, noNumber);
                    }
                });
    }

    /** The published formula it is; empty for a lifter's own steepness. */
    Optional<RepFormula> formula();

    /** What {@link #parse} reads. */
    String key();

    /** The share of the max good for so many repetitions in all; 100 % for one. */
    Percent share(RepsInAll reps);

    /** The load for a set of so many repetitions at a rating, from the max. */
    default Mass load(Mass max, int reps, Rpe rpe) {
        return max.times(share(RepsInAll.of(reps, rpe)));
    }

    /** The max that a load lifted for so many repetitions in all speaks for. */
    default Mass max(Mass load, RepsInAll reps) {
        return load.asShareOf(share(reps));
    }
}
