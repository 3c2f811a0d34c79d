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

        T tooHeavy(TooHeavy tooHeavy);
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

    /**
     * A set of several, with no rating of its own asked for, went to the limit or was missed: the sets to come may be lighter.
     *
     * @param load for the sets to come, 2.5 % less or one step of the kit
     * @param last the number of the last of them
     */
    record TooHeavy(TaskKey about, boolean missed, Mass load, int last) implements Question {
        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.tooHeavy(this);
        }
    }
}
