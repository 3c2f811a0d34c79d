package dev.yarbel.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A length: how high a bar stands, how far a band is stretched, how tall somebody is.
 *
 * <p>It is held as a whole number of 100 nm, in which a thousandth of a centimetre and a thousandth of an inch are both
 * whole, so that what is typed in either comes back exactly. A length may be negative, as a difference.
 */
public final class Length implements Comparable<Length> {

    /** No length at all. */
    public static final Length ZERO = new Length(0);

    private static final Pattern TEXT = Pattern.compile("\\s*([0-9.,]+)\\s*([a-zA-Z]*)\\s*");
    /** Feet with inches: {@code 5'10"}, {@code 5 ft 10 in}. */
    private static final Pattern FEET = Pattern.compile(
            "\\s*(\\d{1,2})\\s*(?:['\u2019\u2032]|ft)\\s*(?:(\\d{1,2}(?:[.,]\\d+)?)\\s*(?:[\"\u201d\u2033]|''|in)?)?\\s*");

    private static final BigDecimal INCHES_OF_A_FOOT = BigDecimal.valueOf(12);
    private static final int DECIMALS = 6;

    private final long quanta;

    private Length(long quanta) {
        this.quanta = quanta;
    }

    /**
     * A length from a decimal figure and its unit, rounded half up to 100 nm.
     *
     * @throws ArithmeticException when it is out of range
     */
    public static Length of(BigDecimal figure, LengthUnit unit) {
        return new Length(figure.multiply(BigDecimal.valueOf(unit.quanta()))
                .setScale(0, RoundingMode.HALF_UP)
                .longValueExact());
    }

    /** A whole number of centimetres. */
    public static Length ofCm(long cm) {
        return new Length(Math.multiplyExact(cm, LengthUnit.CM.quanta()));
    }

    /**
     * Reads a length as people write it: {@code 61 cm}, {@code 24in}, {@code 6 ft}, {@code 5'10"}, {@code 1.2 m}; a figure without a
     * unit is in the unit given.
     *
     * @throws IllegalArgumentException when the text is not an unsigned figure with an optional unit
     */
    public static Length parse(String text, LengthUnit unitless) {
        Matcher feet = FEET.matcher(text);
        if (feet.matches()) {
            return ofFeet(feet);
        }
        Matcher matcher = TEXT.matcher(text);
        if (!matcher.matches()) {
            throw new IllegalArgumentException("not a length: '" + text + "'");
        }
        String symbol = matcher.group(2);
        LengthUnit unit = symbol.isEmpty()
                ? unitless
                : LengthUnit.fromSymbol(symbol)
                        .orElseThrow(() -> new IllegalArgumentException("not a unit of length: '" + symbol + "'"));
        return of(Decimals.parse(matcher.group(1)), unit);
    }

    private static Length ofFeet(Matcher written) {
        BigDecimal inches = written.group(2) == null ? BigDecimal.ZERO : Decimals.parse(written.group(2));
        if (inches.compareTo(INCHES_OF_A_FOOT) >= 0) {
            throw new IllegalArgumentException("a foot has twelve inches: '" + written.group() + "'");
        }
        return of(new BigDecimal(written.group(1)), LengthUnit.FT).plus(of(inches, LengthUnit.IN));
    }

    /** The figure in the given unit, to six decimals, without trailing zeros. */
    public BigDecimal in(LengthUnit unit) {
        BigDecimal figure =
                BigDecimal.valueOf(quanta).divide(BigDecimal.valueOf(unit.quanta()), DECIMALS, RoundingMode.HALF_EVEN);
        return figure.signum() == 0 ? BigDecimal.ZERO : figure.stripTrailingZeros();
    }

    /** Prints figure and unit with at most the given number of decimals: {@code 61 cm}. */
    public String format(LengthUnit unit, int decimals) {
        return Decimals.print(in(unit), decimals) + " " + unit.symbol();
    }

    public Length plus(Length other) {
        return new Length(Math.addExact(quanta, other.quanta));
    }

    public Length minus(Length other) {
        return new Length(Math.subtractExact(quanta, other.quanta));
    }

    /** The length that lies this far of the way from here to another: 0 of 4 is here, 4 of 4 is there. */
    public Length towards(Length other, int part, int of) {
        return new Length(quanta + (other.quanta - quanta) * part / of);
    }

    /** How many times another length this one is. */
    public double over(Length other) {
        return (double) quanta / other.quanta;
    }

    public boolean isNegative() {
        return quanta < 0;
    }

    public boolean isPositive() {
        return quanta > 0;
    }

    public boolean isLessThan(Length other) {
        return quanta < other.quanta;
    }

    public boolean isGreaterThan(Length other) {
        return quanta > other.quanta;
    }

    @Override
    public int compareTo(Length other) {
        return Long.compare(quanta, other.quanta);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Length length && length.quanta == quanta;
    }

    @Override
    public int hashCode() {
        return Long.hashCode(quanta);
    }

    /** The length in centimetres, in full. */
    @Override
    public String toString() {
        return in(LengthUnit.CM).toPlainString() + " cm";
    }
}
