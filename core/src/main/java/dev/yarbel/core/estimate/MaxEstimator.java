package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.LiftedSession;
import java.util.List;
import java.util.Optional;

/** A way to estimate a lifter's max in one lift from what was lifted. */
public interface MaxEstimator {

    /**
     * The estimate after the last of these sessions.
     *
     * @param lift the lift; sets of others are passed over
     * @param curve this lifter's rep curve for the lift
     * @param start what was set down, if anything; sessions before its day are passed over
     * @param sessions finished sessions, in any order
     * @param repsFlatter sets of several repetitions of this lift flatter the single, and say less
     * @return empty when neither a start nor any set says anything
     */
    Optional<MaxEstimate> estimate(
            Lift lift, RepCurve curve, Optional<StartingMax> start, List<LiftedSession> sessions, boolean repsFlatter);
}
