package dev.yarbel.web.calls;

import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Alternatives;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import java.util.List;
import java.util.Optional;

/**
 * A slip as its page shows it, worked out from the plan and the log as they stand now.
 *
 * @param call empty when there is nothing left to decide
 */
record SlipView(long id, Lift lift, LifterBlock plan, Optional<Call> call) {

    private static final int OTHERS = 8;

    /** The lifts that could take the place of this one, those that spare what aches first. */
    public List<Lift> others() {
        return Alternatives.of(
                lift,
                aches().stream().map(Ache::place).toList(),
                plan.standing().catalogue(),
                OTHERS);
    }

    /** Whether a working max of the lift stands, so that another figure can be put in its place. */
    public boolean hasWorkingMax() {
        return plan.standing().of(lift).flatMap(LiftRecord::workingMax).isPresent();
    }

    /** The open aches that the lift loads; no load of it rises while there are any. */
    public List<Ache> aches() {
        return plan.lifter().aching(lift, plan.standing().catalogue());
    }
}
