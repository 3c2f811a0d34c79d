package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;

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

    /** A difference that a coach did not mean and a lifter should know of; a starting value of ours. */
    private static final Percent FAR = Percent.of("2.5");

    /** Half of the usual step of a bar: rounding by as much is what everybody expects, however light the load. */
    private static final Mass ROUNDING = Mass.of("1.25", MassUnit.KG);

    /** How a load falls short of the one asked for. */
    public enum Miss {
        /** It is as near as one can expect. */
        NONE,
        /** See {@link Limit#BELOW_THE_BAR}. */
        BELOW_THE_BAR,
        /** See {@link Limit#BEYOND_THE_PLATES}. */
        BEYOND_THE_PLATES,
        /** The kit has lighter and heavier, but nothing within one part in forty and half a step. */
        BETWEEN
    }

    /** Whether what can be loaded is another load than the one asked for. */
    public Miss miss() {
        return switch (limit) {
            case BELOW_THE_BAR -> Miss.BELOW_THE_BAR;
            case BEYOND_THE_PLATES -> Miss.BEYOND_THE_PLATES;
            case NONE -> {
                Mass off = asked.distanceTo(load());
                yield off.isGreaterThan(asked.times(FAR)) && off.isGreaterThan(ROUNDING) ? Miss.BETWEEN : Miss.NONE;
            }
        };
    }
}
