package dev.yarbel.core.lift;

/** The phase a repetition begins with; a tempo's first figure is the lowering all the same. */
public enum Start {
    LOWERING,
    RAISING
}
