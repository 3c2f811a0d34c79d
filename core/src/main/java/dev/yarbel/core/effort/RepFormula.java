package dev.yarbel.core.effort;

import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;

/**
 * The published formulas for the max from a set to the limit, by their authors, as shares of the max for r repetitions.
 *
 * <p>They hold as published from two repetitions to thirty. A single is the max itself: five of the seven would have it
 * above or below what was lifted. Between one and two repetitions the share runs straight; beyond thirty, where two of
 * the formulas soon turn negative, it stays.
 */
public enum RepFormula implements RepCurve {
    /** Epley 1985: w·(1 + r/30). */
    EPLEY(1985, r -> 1 / (1 + r / 30)),
    /** Brzycki 1993: w·36/(37 − r). */
    BRZYCKI(1993, r -> (37 - r) / 36),
    /** Lombardi 1989: w·r^0.10. */
    LOMBARDI(1989, r -> Math.pow(r, -0.10)),
    /** Lander 1985: 100·w/(101.3 − 2.67123·r). */
    LANDER(1985, r -> (101.3 - 2.67123 * r) / 100),
    /** O'Conner et al. 1989: w·(1 + 0.025·r). */
    OCONNER(1989, r -> 1 / (1 + 0.025 * r)),
    /** Mayhew et al. 1992: 100·w/(52.2 + 41.9·e^(−0.055·r)). */
    MAYHEW(1992, r -> (52.2 + 41.9 * Math.exp(-0.055 * r)) / 100),
    /** Wathan 1994: 100·w/(48.8 + 53.8·e^(−0.075·r)). */
    WATHAN(1994, r -> (48.8 + 53.8 * Math.exp(-0.075 * r)) / 100);

    private static final double MOST_REPS = 30;

    private final int year;
    private final DoubleUnaryOperator share;

    RepFormula(int year, DoubleUnaryOperator share) {
        this.year = year;
        this.share = share;
    }

    /** The formula of a key, if there is one. */
    static Optional<RepFormula> of(String key) {
        return Arrays.stream(values())
                .filter(formula -> formula.key().equals(key))
                .findFirst();
    }

    /** How far the highest and the lowest of all the formulas lie apart at so many repetitions, in points of the max. */
    public static Percent apart(RepsInAll reps) {
        List<Percent> shares =
                Arrays.stream(values()).map(formula -> formula.share(reps)).toList();
        return shares.stream()
                .max(Comparator.naturalOrder())
                .orElseThrow()
                .minus(shares.stream().min(Comparator.naturalOrder()).orElseThrow());
    }

    /**
     * The number of repetitions to the limit at which the formulas lie closest, from two to the given most.
     *
     * @throws IllegalArgumentException when the most is below two
     */
    public static int closest(int most) {
        return IntStream.rangeClosed(2, most)
                .boxed()
                .min(Comparator.comparing(reps -> apart(RepsInAll.toTheLimit(reps))))
                .orElseThrow(() -> new IllegalArgumentException("two repetitions at least, not " + most));
    }

    /** The year it was published. */
    public int year() {
        return year;
    }

    @Override
    public Optional<RepFormula> formula() {
        return Optional.of(this);
    }

    @Override
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    @Override
    public Percent share(RepsInAll reps) {
        double r = Math.min(MOST_REPS, reps.halves() / 2.0);
        double of = r < 2 ? 1 - (r - 1) * (1 - share.applyAsDouble(2)) : share.applyAsDouble(r);
        return Percent.ofShare(BigDecimal.valueOf(of));
    }
}
