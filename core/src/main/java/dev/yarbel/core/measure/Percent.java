package dev.yarbel.core.measure;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;

/**
 * A share of something, in hundredths: 72.5 % of a working max.
 *
 * <p>Held to 0.0001 %. It may be negative, as a difference, and above one hundred, as in partial lifts.
 */
public final class Percent implements Comparable<Percent> {

    /** None of it. */
    public static final Percent ZERO = new Percent(0);

    /** All of it. */
    public static final Percent HUNDRED = new Percent(1_000_000);

    private static final BigInteger WHOLE = BigInteger.valueOf(1_000_000);
    /** Up to here a million times as much is still a long. */
    private static final long MOST_AT_ONCE = 4_000_000_000_000L;

    private final long partsPerMillion;

    private Percent(long partsPerMillion) {
        this.partsPerMillion = partsPerMillion;
    }

    /** A percentage from its figure, rounded half up to 0.0001 %: {@code of("72.5")} is 72.5 %. */
    public static Percent of(String figure) {
        return of(new BigDecimal(figure));
    }

    /** A whole percentage. */
    public static Percent of(long percent) {
        return new Percent(Math.multiplyExact(percent, 10_000L));
    }

    /** A percentage from its figure, rounded half up to 0.0001 %. */
    public static Percent of(BigDecimal percent) {
        return new Percent(
                percent.movePointRight(4).setScale(0, RoundingMode.HALF_UP).longValueExact());
    }

    /** A percentage from a share of one, rounded half up to 0.0001 %: {@code ofShare(0.725)} is 72.5 %. */
    public static Percent ofShare(BigDecimal share) {
        return of(share.movePointRight(2));
    }

    /**
     * Reads an unsigned percentage with a point or a comma, with or without its sign: {@code 72,5}, {@code 72.5 %}.
     *
     * @throws IllegalArgumentException when the text is anything else
     */
    public static Percent parse(String text) {
        String figure = text.strip();
        if (figure.endsWith("%")) {
            figure = figure.substring(0, figure.length() - 1);
        }
        return of(Decimals.parse(figure));
    }

    /**
     * How much of a whole a part is, rounded half up to 0.0001 %.
     *
     * @throws ArithmeticException when the whole is zero
     */
    public static Percent ratio(long part, long whole) {
        if (whole == 0) {
            throw new ArithmeticException("a share of nothing");
        }
        if (part >= 0 && part <= MOST_AT_ONCE && whole > 0 && whole <= MOST_AT_ONCE) {
            return new Percent((part * 1_000_000 + whole / 2) / whole);
        }
        return new Percent(divideHalfUp(BigInteger.valueOf(part).multiply(WHOLE), BigInteger.valueOf(whole)));
    }

    long ofQuanta(long quanta) {
        if (quanta >= 0 && partsPerMillion >= 0) {
            long millions = quanta / 1_000_000;
            long rest = quanta % 1_000_000;
            if (partsPerMillion < MOST_AT_ONCE) {
                return Math.addExact(
                        Math.multiplyExact(millions, partsPerMillion), (rest * partsPerMillion + 500_000) / 1_000_000);
            }
        }
        return divideHalfUp(BigInteger.valueOf(quanta).multiply(BigInteger.valueOf(partsPerMillion)), WHOLE);
    }

    long wholeOfQuanta(long quanta) {
        if (partsPerMillion == 0) {
            throw new ArithmeticException("nothing is no share of anything");
        }
        return divideHalfUp(BigInteger.valueOf(quanta).multiply(WHOLE), BigInteger.valueOf(partsPerMillion));
    }

    private static long divideHalfUp(BigInteger dividend, BigInteger divisor) {
        return new BigDecimal(dividend)
                .divide(new BigDecimal(divisor), 0, RoundingMode.HALF_UP)
                .longValueExact();
    }

    public Percent plus(Percent other) {
        return new Percent(Math.addExact(partsPerMillion, other.partsPerMillion));
    }

    public Percent minus(Percent other) {
        return new Percent(Math.subtractExact(partsPerMillion, other.partsPerMillion));
    }

    /** A share of a share: 90 % of 80 % is 72 %. */
    public Percent times(Percent other) {
        return new Percent(other.ofQuanta(partsPerMillion));
    }

    public Percent abs() {
        return partsPerMillion < 0 ? new Percent(-partsPerMillion) : this;
    }

    public boolean isNegative() {
        return partsPerMillion < 0;
    }

    public boolean isLessThan(Percent other) {
        return partsPerMillion < other.partsPerMillion;
    }

    public boolean isGreaterThan(Percent other) {
        return partsPerMillion > other.partsPerMillion;
    }

    /** The figure before the % sign, in full. */
    public BigDecimal figure() {
        BigDecimal figure = BigDecimal.valueOf(partsPerMillion, 4);
        return figure.signum() == 0 ? BigDecimal.ZERO : figure.stripTrailingZeros();
    }

    /** This percentage as a share of one: 72.5 % is 0.725. */
    public BigDecimal share() {
        return BigDecimal.valueOf(partsPerMillion, 6);
    }

    /** Prints the figure with at most the given number of decimals, without the sign: {@code 72.5}. */
    public String format(int decimals) {
        return Decimals.print(figure(), decimals);
    }

    @Override
    public int compareTo(Percent other) {
        return Long.compare(partsPerMillion, other.partsPerMillion);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Percent percent && percent.partsPerMillion == partsPerMillion;
    }

    @Override
    public int hashCode() {
        return Long.hashCode(partsPerMillion);
    }

    @Override
    public String toString() {
        return figure().toPlainString() + " %";
    }
}
