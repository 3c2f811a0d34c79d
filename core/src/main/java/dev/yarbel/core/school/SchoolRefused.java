package dev.yarbel.core.school;

import dev.yarbel.core.lift.Lift;

/** Why a school cannot draw what it is asked for. */
public final class SchoolRefused extends RuntimeException {

    private static final long serialVersionUID = 1;

    /** What does not go. */
    public enum Why {
        /** Longer than the school makes sense of. */
        TOO_LONG,
        /** The school is for one lift at a time. */
        ONE_LIFT,
        /** The event's announced load is not known. */
        EVENT_LOAD
    }

    private final Why why;
    private final transient Lift lift;
    private final transient School school;

    SchoolRefused(Why why, Lift lift, School school) {
        super(why + " " + lift + " " + school.key(), null, false, false);
        this.why = why;
        this.lift = lift;
        this.school = school;
    }

    public Why why() {
        return why;
    }

    /** The lift it concerns. */
    public Lift lift() {
        return lift;
    }

    public School school() {
        return school;
    }
}
