package dev.yarbel.core.equipment;

/** The coach's rule for a load that cannot be put on the bar exactly. */
public enum Rounding {
    /** The nearest load; of two equally near, the lighter. */
    NEAREST,
    /** The next lighter load. */
    DOWN,
    /** The next heavier load. */
    UP
}
