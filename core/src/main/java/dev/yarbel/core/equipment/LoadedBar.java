package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;

/** A loaded bar: the same stack on each side. */
public record LoadedBar(BarKit kit, PlateStack stack) {

    /** Bar, collars and both sides. */
    public Mass total() {
        return kit.base().plus(stack.mass().times(2));
    }
}
