package dev.yarbel.core.adjust;

/**
 * How a finding weighs against others about the same lifter and lift: those named first outweigh those after them, whatever
 * either proposes (common practice, no source).
 */
public enum Urgency {
    /** Something hurts. */
    PAIN,
    /** What was logged may be a slip of the pen: whatever else it says waits. */
    DOUBTFUL,
    /** The contest that a plan leads to is on another day. */
    CONTEST,
    /** Repetitions were missed, or the lifter is back from a time away, which explains them. */
    MISSED,
    /** Ratings left their target. */
    OFF_TARGET,
    /** Numbers and plan have parted. */
    APART,
    /** Good news, and what is only to be known. */
    NEWS
}
