package dev.yarbel.core.estimate;

import dev.yarbel.core.lift.Lift;

/**
 * Under what a set was done.
 *
 * @param tired by the training of the last days: 1 at the usual pace, 0 rested
 * @param setsBefore work sets of the same family of lifts before it in the session
 * @param primed a heavy single came before it, and it is lighter
 */
record Circumstances(Lift lift, double tired, int setsBefore, boolean primed) {}
