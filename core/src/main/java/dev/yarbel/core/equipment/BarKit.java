package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;

/**
 * What a lifter trains with: one bar, its collars and the plates that are there.
 *
 * @param collars the mass of both collars together; zero for spring clips. They are on for every load, the bare bar's
 *     too, as in a contest.
 */
public record BarKit(Bar bar, Mass collars, PlateSet plates) {

    public BarKit {
        if (collars.isNegative()) {
            throw new IllegalArgumentException("collars weigh something or nothing");
        }
    }

    /** The lightest load: bar and collars. */
    public Mass base() {
        return bar.mass().plus(collars);
    }

    /** Bar, collars and this stack on each side. */
    public LoadedBar with(PlateStack stack) {
        return new LoadedBar(this, stack);
    }
}
