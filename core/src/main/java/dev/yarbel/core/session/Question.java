package dev.yarbel.core.session;

import dev.yarbel.core.measure.Mass;
import java.util.Optional;

/** What the last set raises, for the lifter or coach to decide. */
public sealed interface Question {

    /** The set that raised it. */
    TaskKey about();

    /** The warm-up already rates what was asked of the top, or moved as slowly: it is the top set. */
    record WarmUpIsTop(TaskKey about, TaskKey top) implements Question {}

    /**
     * The last warm-up flew: the top may be heavier than planned.
     *
     * @param load what it speaks for, within bounds
     */
    record LargerStep(TaskKey about, TaskKey top, Mass load) implements Question {}

    /**
     * The top set rated far from what was asked: take another, stop, or go on from it.
     *
     * @param halves by how much harder than asked, in half points; below zero: easier
     * @param another the load for another one, where it can be said
     */
    record TopOffTarget(TaskKey about, int halves, boolean missed, Optional<Mass> another) implements Question {}

    /** The set to the limit came to half of what was to be expected or less: the day is over for this lift. */
    record Collapsed(TaskKey about, int expected, int made) implements Question {}
}
