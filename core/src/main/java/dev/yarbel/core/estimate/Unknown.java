package dev.yarbel.core.estimate;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.SetUp;

/** A figure about a lifter that nobody sees, and of which what is lifted and said tells something. */
sealed interface Unknown {

    /** The standing max of a lift that is no variation of another: the natural logarithm of kilograms. */
    record Max(Lift lift) implements Unknown {}

    /** What a lifter does in a variation as a share of its parent lift: the natural logarithm. */
    record Share(Lift variation) implements Unknown {}

    /** What a lifter does in a set-up of its own as a share of the plain lift: the natural logarithm. */
    record Apart(Lift lift, SetUp setUp) implements Unknown {}

    /** How much faster than by the usual curve load falls with repetitions: the natural logarithm. */
    record Steepness(Lift lift) implements Unknown {}

    /** The bend of the curve: 1 is the usual hyperbola. */
    record Bend(Lift lift) implements Unknown {}

    /** What the lifter says is left in a family of lifts beyond what they say in all, in repetitions. */
    record Bias(Lift root) implements Unknown {}

    /** By how much sets of several repetitions flatter the single: the natural logarithm. */
    record Flatter(Lift root) implements Unknown {}

    /** What is the same in all lifts. */
    enum OfLifter implements Unknown {
        /** What the lifter says is left beyond what is left, in repetitions. */
        BIAS,
        /** The day's form, as a share of the max. */
        FORM,
        /** How much a standing max grows in a week of training, as a share of it. */
        GAIN,
        /** What training at the usual pace takes off the max on the day, as a share of it. */
        FATIGUE,
        /** What each further set of a lift takes off the max in a session, as a share of it. */
        TIRING,
        /** What a heavy single adds for the lighter sets after it, as a share of the max. */
        PRIMING
    }
}
