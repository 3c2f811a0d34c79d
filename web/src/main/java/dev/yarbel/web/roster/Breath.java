package dev.yarbel.web.roster;

/** How long a lifter's breath lasts at fifteen squats with the body alone, or four push-ups. */
enum Breath {
    LASTS,
    GASPS
}
