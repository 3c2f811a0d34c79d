package dev.yarbel.core.record;

/** Kit on the lifter's body; what was worn changes what a set tells. */
public enum Worn {
    BELT,
    KNEE_SLEEVES,
    KNEE_WRAPS,
    ELBOW_SLEEVES,
    WRIST_WRAPS,
    STRAPS,
    SUIT,
    BENCH_SHIRT,
    GRIP_SHIRT
}
