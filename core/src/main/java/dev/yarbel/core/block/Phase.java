package dev.yarbel.core.block;

/** What a week is for. */
public enum Phase {
    /** Nothing in particular was said. */
    GENERAL,
    MUSCLE,
    STRENGTH,
    PEAK,
    /** Reaching over: more than can be recovered from, on purpose, and a deload after it. */
    REACH,
    /** Holding strength at sustainable loads, with no contest in sight. */
    HOLD
}
