package dev.yarbel.web.roster;

/** How much strain there is outside the gym, in the lifter's own view. */
enum Stress {
    LITTLE,
    USUAL,
    MUCH
}
