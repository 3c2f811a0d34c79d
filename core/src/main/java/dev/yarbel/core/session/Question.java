package dev.yarbel.core.session;

import dev.yarbel.core.measure.Mass;
import java.util.Optional;

/** What the last set raises, for the lifter or coach to decide. */
public sealed interface Question {

    /** The set that raised it. */
    TaskKey about();

    /** Asks what kind this is. */
    <T> T accept(Visitor<T> visitor);

    /** What somebody makes of each question. */
    interface Visitor<T> {

        T warmUpIsTop(WarmUpIsTop warmUpIsTop);

        T largerStep(LargerStep largerStep);

        T topOffTarget(TopOffTarget topOffTarget);

        T collapsed(Collapsed collapsed);
    }

    /** The warm-up already rates what was asked of the top, or moved as slowly: it is the top set. */
    record WarmUpIsTop(TaskKey about, TaskKey top) implements Question {
        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.warmUpIsTop(this);
        }
    }

    /**
     * The last warm-up flew: the top may be heavier than planned.
     *
     * @param load what it speaks for, within bounds
     */
    record LargerStep(TaskKey about, TaskKey top, Mass load) implements Question {
        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.largerStep(this);
        }
    }

    /**
     * The top set rated far from what was asked: take another, stop, or go on from it.
     *
     * @param halves by how much harder than asked, in half points; below zero: easier
     * @param another the load for another one, where it can be said
     */
    record TopOffTarget(TaskKey about, int halves, boolean missed, Optional<Mass> another) implements Question {
        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.topOffTarget(this);
        }
    }

    /** The set to the limit came to half of what was to be expected or less: the day is over for this lift. */
    record Collapsed(TaskKey about, int expected, int made) implements Question {
        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.collapsed(this);
        }
    }
}
