package dev.yarbel.core.adjust;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.util.Optional;

/**
 * The proposal to ask the lifter about a set before anything is concluded from it; everything stays as it is planned.
 *
 * @param about the set
 */
public record AskLifter(Lift lift, Asking asking, SeenSet about) implements Proposal {

    /** What is asked. */
    public enum Asking {
        /** Why nothing of it was made. */
        WHAT_HAPPENED,
        /** Whether its load was written in the other unit. */
        WHICH_UNIT,
        /** Why fewer sets are logged than were asked for: cut, or not all logged. */
        HOW_MANY_SETS
    }

    /**
     * The load it may have been, were it written in the other unit: of the two the one nearer to what was asked for. Empty where
     * that is not the question, or nobody knows what was asked for.
     */
    public Optional<Mass> otherLoad() {
        if (asking != Asking.WHICH_UNIT) {
            return Optional.empty();
        }
        Mass load = about.set().load();
        Mass pounds = Mass.of(load.in(MassUnit.KG), MassUnit.LB);
        Mass kilograms = Mass.of(load.in(MassUnit.LB), MassUnit.KG);
        return about.askedLoad()
                .map(asked -> pounds.distanceTo(asked).isLessThan(kilograms.distanceTo(asked)) ? pounds : kilograms);
    }

    @Override
    public <T> T accept(Visitor<T> visitor) {
        return visitor.askLifter(this);
    }
}
