package dev.yarbel.core.lifter;

/** What a lifter competes or trains for. */
public enum Sport {
    POWERLIFTING_CLASSIC,
    POWERLIFTING_EQUIPPED,
    STRONGMAN,
    /** Powerlifting and strongman. */
    BOTH
}
