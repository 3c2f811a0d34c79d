package dev.yarbel.core.lift;

/** A group of muscles that a lift trains. */
public enum Muscle {
    QUADS,
    HAMSTRINGS,
    GLUTES,
    LOW_BACK,
    UPPER_BACK,
    LATS,
    CHEST,
    SHOULDERS,
    TRICEPS,
    BICEPS,
    TRUNK,
    GRIP,
    CALVES
}
