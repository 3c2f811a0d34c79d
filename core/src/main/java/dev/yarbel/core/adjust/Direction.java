package dev.yarbel.core.adjust;

/** What an answer to a call did to what the lifter is asked for. */
public enum Direction {
    /** More than was planned. */
    MORE,
    /** All as planned, by agreeing to hold or by leaving the call. */
    SAME,
    /** Less than was planned. */
    LESS,
    /** A deload or another lift: easier for a while, and meant to be. */
    REST;

    /**
     * What an answer did.
     *
     * @param left whether things were left as they were
     * @param raises whether what was proposed asks for more
     * @param rests whether it makes things easier for a while
     * @param changes whether it changes anything
     */
    public static Direction of(boolean left, boolean raises, boolean rests, boolean changes) {
        if (left || !changes) {
            return SAME;
        }
        return raises ? MORE : rests ? REST : LESS;
    }
}
