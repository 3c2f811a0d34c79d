package dev.yarbel.core.measure;

/**
 * A figure that looks as if it was typed in the other unit: about 2.2 times the last one, or its inverse.
 *
 * <p>It is only ever asked about: a lifter's max may really have moved so far since it was last set down. The bounds, 2.0
 * to 2.45 times, leave room for real change on either side of the 2.2046 lb in a kilogram.
 */
public final class UnitSlip {

    private static final Percent LEAST = Percent.of(200);
    private static final Percent MOST = Percent.of(245);

    private UnitSlip() {}

    /** Whether the mass entered looks like the last one in the other unit; both above nothing. */
    public static boolean isSuspected(Mass entered, Mass last) {
        Mass heavier = Mass.max(entered, last);
        Percent ratio = heavier.percentOf(Mass.min(entered, last));
        return ratio.compareTo(LEAST) >= 0 && ratio.compareTo(MOST) <= 0;
    }
}
