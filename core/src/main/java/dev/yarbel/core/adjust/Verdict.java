package dev.yarbel.core.adjust;

/** Whether what followed an answered call bears the answer out. */
public enum Verdict {
    /** Nothing that followed speaks against it. */
    BORNE_OUT,
    /** Something hurt in a session with the lift. */
    HURT,
    /** Sets were missed in two sessions, or every third rated set came a point or more over its target. */
    TOO_MUCH,
    /** The estimate fell by 2.5 % and more, and the load had not been taken down. */
    FELL,
    /** More than half of the rated sets came a point or more under their targets, and the load had not been raised. */
    TOO_LITTLE,
    /** The lift was not trained twice, or nothing of it says how it went. */
    UNKNOWN;

    /** Whether it counts for or against the answer. */
    public boolean isKnown() {
        return this != UNKNOWN;
    }
}
