package dev.yarbel.web.contest;

/** What a contest is to a lifter. */
public enum Priority {
    /** Their plan leads there. */
    PEAKED_FOR,
    /** It is trained through: the plan goes on as if it were a heavy day. */
    THROUGH
}
