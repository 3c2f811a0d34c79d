package dev.yarbel.core.adjust;

import dev.yarbel.core.lift.Variation;

/** What is said beside a finding whatever the coach decides, so that nobody is hurt by what follows. */
public enum Care {
    /** Pain means stop, and a licensed professional's look. */
    PROFESSIONAL,
    /** Spotters or set safeties, where the lift can pin the lifter. */
    SPOTTERS;

    /** Whether it is to be said of a lift. */
    public boolean concerns(Variation variation) {
        return this != SPOTTERS || variation.pinsTheLifter();
    }
}
