package dev.yarbel.web.roster;

/** How a lifter's warm-ups go up; as long as nobody decided, in shrinking steps. */
enum WarmUpStyle {
    SHRINKING,
    EVEN
}
