package dev.yarbel.core.session;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSet;
import java.util.Optional;

/**
 * The load of the next set from how the last one went: the max that the last one spoke for, by the lifter's rep curve, and
 * from it the load for the rating that is asked for. How far it may go at once are starting values of ours.
 */
final class NextLoad {

    /** Climbing sets go up by this much at most. */
    static final Percent CLIMB = Percent.of(110);
    /** Other sets go up by this much at most. */
    static final Percent UP = Percent.of(105);
    /** No set goes down by more than this. */
    static final Percent DOWN = Percent.of(90);

    private static final Percent AFTER_A_MISS = Percent.of(95);

    private NextLoad() {}

    /**
     * The load for so many repetitions at a target.
     *
     * @param most the largest rise, as a share of the last load
     * @return empty where the last set said nothing
     */
    static Optional<Mass> after(LiftedSet last, int reps, Rpe target, RepCurve curve, Percent most) {
        Mass load = last.load();
        Effort effort = last.effort();
        if (!load.isPositive() || effort.isUnrated()) {
            return Optional.empty();
        }
        if (effort.isMoreThanFourLeft()) {
            return Optional.of(load.times(most));
        }
        if (effort.isMissed() && last.reps() == 0) {
            return Optional.of(load.times(AFTER_A_MISS));
        }
        RepsInAll inAll =
                effort.rating().map(rpe -> RepsInAll.of(last.reps(), rpe)).orElse(RepsInAll.toTheLimit(last.reps()));
        Mass next = curve.load(curve.max(load, inAll), reps, target);
        return Optional.of(Mass.max(load.times(DOWN), Mass.min(load.times(most), next)));
    }
}
