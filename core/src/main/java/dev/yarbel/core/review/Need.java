package dev.yarbel.core.review;

/** Why a lifter needs their coach, the most urgent first. See {@link Situation#needs}. */
public enum Need {
    /** The health questions or a guardian's consent stand in the way of training. */
    CLEARANCE,
    /** Something hurt in the last session. */
    PAIN,
    /** Decisions wait. */
    CALLS,
    /** A planned session passed without a set. */
    MISSED,
    /** Nothing is planned from today on. */
    NOTHING_PLANNED,
    /** The last session was harder than asked, or a set in it was missed. */
    OVER,
    /** What is planned ends soon. */
    PLAN_ENDS,
    /** They have not trained for long. */
    NOT_SEEN,
    /** The contest is near. */
    CONTEST,
    /** An ache is open. */
    ACHE,
    /** The last session was cut short. */
    CUT_SHORT,
    /** The last session was lighter than asked. */
    UNDER
}
