package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;

/**
 * What became of a load that was asked for: the bar as it can be loaded, and where the kit ended, if it did.
 *
 * @param asked the load asked for
 * @param loading the bar as loaded
 * @param limit whether the kit could not go as low or as high as asked
 */
public record Fit(Mass asked, LoadedBar loading, Limit limit) {

    /** Where the kit ends. */
    public enum Limit {
        /** The load lies within what the kit can make. */
        NONE,
        /** Lighter than the bar with its collars. */
        BELOW_THE_BAR,
        /** Heavier than all the plates together. */
        BEYOND_THE_PLATES
    }

    public Mass load() {
        return loading.total();
    }
}
