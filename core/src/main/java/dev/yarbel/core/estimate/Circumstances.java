package dev.yarbel.core.estimate;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.SetUp;

/**
 * Under what a set was done.
 *
 * @param setUp how, beside the plain lift
 * @param tired by the training of the last days: 1 at the usual pace, 0 rested
 * @param setsBefore work sets of the same family of lifts before it in the session
 * @param primed a heavy single came before it, and it is lighter
 */
record Circumstances(Lift lift, SetUp setUp, double tired, int setsBefore, boolean primed) {

    /** The ratio of the set-up to the plain lift. */
    Unknown apart() {
        return new Unknown.Apart(lift, setUp);
    }
}
