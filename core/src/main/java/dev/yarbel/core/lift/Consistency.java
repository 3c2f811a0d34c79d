package dev.yarbel.core.lift;

/** How alike a lifter's repetitions look to the coach: depth, path, position. */
public enum Consistency {
    /** Every repetition looks different. */
    VARIES,
    /** Alike until they get heavy. */
    HOLDS_WHEN_LIGHT,
    /** Alike to the limit. */
    HOLDS
}
