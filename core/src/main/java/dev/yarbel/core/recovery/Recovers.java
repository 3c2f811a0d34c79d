package dev.yarbel.core.recovery;

import dev.yarbel.core.block.Phase;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * What of a lifter makes recovery longer or shorter. Mastery's and the phase's figures are common practice (no source); that women, the lighter and the
 * younger recover sooner, and who works hard, sleeps little or diets later, is too, and the figures for it are ours.
 *
 * @param mastery of a lift, or of its family; empty where nobody said
 * @param age in years; empty where nobody said
 * @param kilograms they weigh; empty where nobody said
 */
public record Recovers(
        Function<Lift, Optional<Mastery>> mastery,
        Optional<Sex> sex,
        Optional<Integer> age,
        Optional<BigDecimal> kilograms,
        boolean hardJob,
        boolean shortSleep,
        boolean dieting) {

    /** Of whom nothing is known. */
    public static final Recovers UNKNOWN = new Recovers(
            lift -> Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), false, false, false);

    private static final int OLDER = 45;
    private static final BigDecimal HEAVY = BigDecimal.valueOf(110);
    private static final BigDecimal LIGHT = BigDecimal.valueOf(75);

    /** Something that makes it longer or shorter, and by how much. */
    public record Factor(Why why, Percent share) {}

    /** What it is. */
    public enum Why {
        /** A light, medium or maximal day. */
        STRAIN,
        MASTERY,
        VARIATION,
        PHASE,
        SEX,
        AGE,
        SIZE,
        JOB,
        SLEEP,
        DIET,
        DAILY_PRACTICE
    }

    /**
     * All that bears on a lift in a phase, beside the day's strain and the variation.
     *
     * @param own whether the lift's hours are this very lifter's: then the phase alone bears on it
     */
    List<Factor> factors(Lift root, Phase phase, boolean own) {
        List<Factor> factors = new ArrayList<>();
        if (own) {
            add(factors, Why.PHASE, percent(phase));
            return factors;
        }
        mastery.apply(root)
                .ifPresent(level -> add(
                        factors,
                        Why.MASTERY,
                        switch (level) {
                            case BEGINNER -> 70;
                            case INTERMEDIATE -> 100;
                            case ADVANCED -> 120;
                        }));
        add(factors, Why.PHASE, percent(phase));
        add(factors, Why.SEX, sex.filter(Sex.FEMALE::equals).isPresent() ? 90 : 100);
        add(factors, Why.AGE, age.filter(years -> years >= OLDER).isPresent() ? 115 : 100);
        add(
                factors,
                Why.SIZE,
                kilograms
                        .map(kg -> kg.compareTo(HEAVY) >= 0 ? 110 : kg.compareTo(LIGHT) < 0 ? 95 : 100)
                        .orElse(100));
        add(factors, Why.JOB, hardJob ? 110 : 100);
        add(factors, Why.SLEEP, shortSleep ? 110 : 100);
        add(factors, Why.DIET, dieting ? 110 : 100);
        return factors;
    }

    private static long percent(Phase phase) {
        return phase == Phase.MUSCLE ? 85 : phase == Phase.PEAK ? 120 : 100;
    }

    private static void add(List<Factor> factors, Why why, long percent) {
        if (percent != 100) {
            factors.add(new Factor(why, Percent.of(percent)));
        }
    }

    /** Hours with all of these, rounded to whole ones. */
    static int hours(int base, List<Factor> factors) {
        BigDecimal hours = BigDecimal.valueOf(base);
        for (Factor factor : factors) {
            hours = hours.multiply(factor.share().share());
        }
        return hours.setScale(0, RoundingMode.HALF_UP).intValue();
    }
}
