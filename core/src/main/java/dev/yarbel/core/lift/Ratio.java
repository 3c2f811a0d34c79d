package dev.yarbel.core.lift;

import dev.yarbel.core.measure.Percent;

/**
 * How much of one lift's max a lifter is taken to have in another, its variation.
 *
 * @param to the parent lift
 * @param share the variation's max as a share of the parent's; above 0 and up to 200 %
 */
public record Ratio(Lift to, Percent share, Source source) {

    private static final Percent MOST = Percent.of(200);

    /** Where a ratio comes from. */
    public enum Source {
        /** The catalogue's cautious default. */
        DEFAULT,
        /** The coach set it for this lifter. */
        COACH
    }

    public Ratio {
        if (share.compareTo(Percent.ZERO) <= 0 || share.isGreaterThan(MOST)) {
            throw new IllegalArgumentException("a ratio lies above 0 and up to 200 %, not " + share);
        }
    }
}
