package dev.yarbel.core.adjust;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSession;
import java.util.List;
import java.util.Optional;

/**
 * What a rule looks at: one lifter in one lift after one session.
 *
 * @param session the finished session that gave cause to look
 * @param pain where it hurt in that session, in the lifter's words
 * @param aches those open that the lift loads
 */
public record Subject(
        Lift lift, Known known, PlanAhead plan, LiftedSession session, Optional<String> pain, List<Ache> aches) {

    /**
     * What is known of the lifter in the lift.
     *
     * @param workingMax the lift's own
     * @param share the share of an estimate that the coach sets working maxes at, usually 90 to 100 %
     * @param caps how far one decision may move a working max
     */
    public record Known(Optional<Mass> workingMax, Optional<MaxEstimate> estimate, Percent share, Caps caps) {}

    public Subject {
        aches = List.copyOf(aches);
    }

    /** Whether something hurts that the lift loads, or hurt in the session. */
    public boolean hurts() {
        return pain.isPresent() || !aches.isEmpty();
    }
}
