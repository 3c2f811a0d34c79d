package dev.yarbel.core.school;

/** Where a lift gives way, as a coach sees it (common practice, no source). */
public enum WeakPoint {
    /** A pull is slow off the floor. */
    OFF_THE_FLOOR,
    /** A pull is fast off the floor and stalls at the knee or the lockout. */
    AT_THE_KNEE,
    /** The hips shoot up out of the squat. */
    HIPS_RISE,
    /** The squat folds forward, and the back limits it. */
    FOLDS_FORWARD,
    /** A press stalls at the chest. */
    AT_THE_CHEST,
    /** A press stalls at the lockout. */
    AT_LOCKOUT,
    /** The grip goes. */
    GRIP,
    /** An event slows late. */
    LATE
}
