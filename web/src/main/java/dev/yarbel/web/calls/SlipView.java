package dev.yarbel.web.calls;

import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.block.LifterBlock;
import java.util.List;
import java.util.Optional;

/**
 * A slip as its page shows it, worked out from the plan and the log as they stand now.
 *
 * @param call empty when there is nothing left to decide
 */
record SlipView(long id, Lift lift, LifterBlock plan, Optional<Call> call) {

    /** The open aches that the lift loads; no load of it rises while there are any. */
    public List<Ache> aches() {
        return plan.lifter().aching(lift, plan.standing().catalogue());
    }
}
