package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;

/** A bar, part of every load that hangs on it. */
public record Bar(String name, Mass mass) {

    public Bar {
        if (!mass.isPositive()) {
            throw new IllegalArgumentException("a bar has a mass");
        }
    }
}
