package dev.yarbel.core.adjust;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import java.util.Optional;

/**
 * The proposal to ask the lifter about a set before anything is concluded from it; everything stays as it is planned.
 *
 * @param about the set
 * @param otherLoad what its load may have been, where that is the question and anybody can say
 */
public record AskLifter(Lift lift, Asking asking, SeenSet about, Optional<Mass> otherLoad) implements Proposal {

    /** What is asked. */
    public enum Asking {
        /** Why nothing of it was made. */
        WHAT_HAPPENED,
        /** Whether its load was written in the other unit. */
        WHICH_UNIT,
        /** Whether its load was written without the bar. */
        WITH_THE_BAR,
        /** Why fewer sets are logged than were asked for: cut, or not all logged. */
        HOW_MANY_SETS
    }

    /** A question that is about no load. */
    AskLifter(Lift lift, Asking asking, SeenSet about) {
        this(lift, asking, about, Optional.empty());
    }

    @Override
    public <T> T accept(Visitor<T> visitor) {
        return visitor.askLifter(this);
    }
}
