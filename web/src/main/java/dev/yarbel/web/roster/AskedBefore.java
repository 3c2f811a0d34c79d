package dev.yarbel.web.roster;

/** Whether a lifter is asked how they are before a session; as long as nobody decided, not. */
enum AskedBefore {
    NO,
    YES
}
