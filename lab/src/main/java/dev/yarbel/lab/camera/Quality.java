package dev.yarbel.lab.camera;

/** How well something is filmed. */
public enum Quality {
    CLEAN,
    /** By somebody's hand. */
    SHAKY,
    /** In a cellar. */
    DARK,
    /** Somebody walks through. */
    CROSSED
}
