package dev.yarbel.core.school;

/** Why a school puts a slot there. */
public enum Purpose {
    /** The lift itself. */
    CONTEST_LIFT,
    /** The easy day between two hard ones. */
    LIGHT_DAY,
    /** A variation that moves the strain about and keeps the practice. */
    ROTATION,
    /** The day's hardest work with another variation each week. */
    MAX_EFFORT,
    SPEED,
    /** Pulls from three heights, overloading from the top down. */
    THREE_HEIGHTS,
    HAMSTRINGS_AND_GLUTES,
    QUADS,
    CALVES,
    UPPER_BACK,
    LOW_BACK,
    CHEST,
    SHOULDERS,
    TRICEPS,
    BICEPS,
    TRUNK,
    GRIP,
    /** The lift held or begun where it gives way. */
    POSITION,
    /** Short rests and moving loads for events that slow late. */
    CONDITIONING,
    /** The contest's event at its announced load. */
    EVENT
}
