package dev.yarbel.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A mass, such as the load on a bar, a plate or the difference between two loads.
 *
 * <p>It is held as a whole number of 10 ng, in which one thousandth of a kilogram and one thousandth of a pound are both
 * whole. Whatever is stated in kg or lb with up to three decimals therefore goes in and comes out exactly, and masses
 * from both units add up without error. A mass may be negative, as a difference; what can be put on a bar never is.
 *
 * <p>The range is about ±92 million kg; arithmetic beyond it throws {@link ArithmeticException}.
 */
public final class Mass implements Comparable<Mass> {

    /** Nothing at all. */
    public static final Mass ZERO = new Mass(0);

    /** How a load is written that {@link #parse} reads, as a regular expression that Java and JavaScript read alike. */
    public static final String WRITTEN = "^\\s*(\\d{1,7}(?:[.,]\\d{1,6})?)\\s*((?:[kK][gG]|[lL][bB])[sS]?)?\\s*$";

    private static final Pattern TEXT = Pattern.compile(WRITTEN);
    private static final int LB_DECIMALS = 9;

    private final long quanta;

    private Mass(long quanta) {
        this.quanta = quanta;
    }

    private static Mass ofQuanta(long quanta) {
        return quanta == 0 ? ZERO : new Mass(quanta);
    }

    /**
     * A mass from a decimal figure and its unit, rounded half up to 10 ng: {@code of("102.5", KG)}.
     *
     * @throws NumberFormatException when the figure is not a decimal
     * @throws ArithmeticException when it is out of range
     */
    public static Mass of(String figure, MassUnit unit) {
        return of(new BigDecimal(figure), unit);
    }

    /**
     * A mass from a decimal figure and its unit, rounded half up to 10 ng.
     *
     * @throws ArithmeticException when it is out of range
     */
    public static Mass of(BigDecimal figure, MassUnit unit) {
        BigDecimal quanta = figure.multiply(BigDecimal.valueOf(unit.quanta())).setScale(0, RoundingMode.HALF_UP);
        return ofQuanta(quanta.longValueExact());
    }

    /** A whole number of kilograms. */
    public static Mass ofKg(long kg) {
        return ofQuanta(Math.multiplyExact(kg, MassUnit.KG.quanta()));
    }

    /** A whole number of pounds. */
    public static Mass ofLb(long lb) {
        return ofQuanta(Math.multiplyExact(lb, MassUnit.LB.quanta()));
    }

    /**
     * Reads a load as people write it: {@code 102.5 kg}, {@code 102,5kg}, {@code 225 lbs}; a figure without a unit is in
     * the unit given, the person's own.
     *
     * @throws IllegalArgumentException when the text is not an unsigned figure with an optional unit
     */
    public static Mass parse(String text, MassUnit unitless) {
        Matcher matcher = TEXT.matcher(text);
        if (!matcher.matches()) {
            throw new IllegalArgumentException("not a mass: '" + text + "'");
        }
        BigDecimal figure = Decimals.parse(matcher.group(1));
        MassUnit unit = Optional.ofNullable(matcher.group(2))
                .flatMap(MassUnit::fromSymbol)
                .orElse(unitless);
        return of(figure, unit);
    }

    /** The figure in the given unit: exact in kg, to nine decimals in lb, without trailing zeros. */
    public BigDecimal in(MassUnit unit) {
        BigDecimal figure = BigDecimal.valueOf(quanta);
        BigDecimal result = unit == MassUnit.KG
                ? figure.movePointLeft(11)
                : figure.divide(BigDecimal.valueOf(unit.quanta()), LB_DECIMALS, RoundingMode.HALF_EVEN);
        return result.signum() == 0 ? BigDecimal.ZERO : result.stripTrailingZeros();
    }

    /** The figure in kg for models that reckon in doubles; up to 90 t the double that is nearest to it. */
    public double kilograms() {
        return quanta / (double) MassUnit.KG.quanta();
    }

    /** Prints figure and unit with at most the given number of decimals: {@code 102.5 kg}. */
    public String format(MassUnit unit, int decimals) {
        return figure(unit, decimals) + " " + unit.symbol();
    }

    /** Prints the figure alone with at most the given number of decimals: {@code 102.5}. */
    public String figure(MassUnit unit, int decimals) {
        return Decimals.print(in(unit), decimals);
    }

    public Mass plus(Mass other) {
        return ofQuanta(Math.addExact(quanta, other.quanta));
    }

    public Mass minus(Mass other) {
        return ofQuanta(Math.subtractExact(quanta, other.quanta));
    }

    public Mass times(long factor) {
        return ofQuanta(Math.multiplyExact(quanta, factor));
    }

    /** The given share of this mass, rounded half up to 10 ng. */
    public Mass times(Percent share) {
        return ofQuanta(share.ofQuanta(quanta));
    }

    /** Half of this mass, one side of a bar; an odd quantum is dropped. */
    public Mass half() {
        return ofQuanta(quanta / 2);
    }

    /**
     * The mass of which this one is the given share, rounded half up to 10 ng: 90 kg is 90 % of 100 kg.
     *
     * @throws ArithmeticException when the share is zero
     */
    public Mass asShareOf(Percent share) {
        return ofQuanta(share.wholeOfQuanta(quanta));
    }

    /**
     * This mass as a percentage of another, rounded half up to 0.0001 %.
     *
     * @throws ArithmeticException when the other mass is zero
     */
    public Percent percentOf(Mass whole) {
        return Percent.ratio(quanta, whole.quanta);
    }

    /** The distance to another mass, never negative. */
    public Mass distanceTo(Mass other) {
        return minus(other).abs();
    }

    public Mass abs() {
        return quanta < 0 ? ofQuanta(Math.negateExact(quanta)) : this;
    }

    public boolean isZero() {
        return quanta == 0;
    }

    public boolean isPositive() {
        return quanta > 0;
    }

    public boolean isNegative() {
        return quanta < 0;
    }

    public boolean isLessThan(Mass other) {
        return quanta < other.quanta;
    }

    public boolean isGreaterThan(Mass other) {
        return quanta > other.quanta;
    }

    /**
     * This mass as a whole number of quanta of 10 ng, for searches that add up thousands of masses. It is exact, and
     * {@link #ofTensOfNanograms} is its inverse.
     */
    public long tensOfNanograms() {
        return quanta;
    }

    /** The mass of a whole number of quanta of 10 ng. */
    public static Mass ofTensOfNanograms(long quanta) {
        return ofQuanta(quanta);
    }

    public static Mass min(Mass one, Mass other) {
        return one.quanta <= other.quanta ? one : other;
    }

    public static Mass max(Mass one, Mass other) {
        return one.quanta >= other.quanta ? one : other;
    }

    @Override
    public int compareTo(Mass other) {
        return Long.compare(quanta, other.quanta);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Mass mass && mass.quanta == quanta;
    }

    @Override
    public int hashCode() {
        return Long.hashCode(quanta);
    }

    /** The mass in kilograms, in full. */
    @Override
    public String toString() {
        return in(MassUnit.KG).toPlainString() + " kg";
    }
}
