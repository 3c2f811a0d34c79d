package dev.yarbel.web.roster;

/** Whether a lifter eats less than they use. */
enum Dieting {
    NO,
    YES,
    HARD
}
