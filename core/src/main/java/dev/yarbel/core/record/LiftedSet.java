package dev.yarbel.core.record;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import java.util.Optional;

/**
 * One set as it was done.
 *
 * @param reps the repetitions made, 0 to 100; none only when the set was missed
 */
public record LiftedSet(Lift lift, Mass load, int reps, Effort effort) {

    public LiftedSet {
        if (!load.isPositive()) {
            throw new IllegalArgumentException("a set has a load");
        }
        if (reps < 0 || reps > 100 || reps == 0 && !(effort instanceof Effort.Missed)) {
            throw new IllegalArgumentException("a set has 1 to 100 repetitions, or was missed");
        }
    }

    /** Whether the planned repetitions were made. */
    public boolean made() {
        return !(effort instanceof Effort.Missed);
    }

    /**
     * The repetitions the load was good for, where the set says something about a max: rated 6 or harder, or missed
     * after at least one repetition, and twelve repetitions in all at most.
     */
    public Optional<RepsInAll> repsThatEstimate() {
        Optional<RepsInAll> inAll = Optional.empty();
        if (effort instanceof Effort.Rated rated && rated.rpe().estimates()) {
            inAll = Optional.of(RepsInAll.of(reps, rated.rpe()));
        } else if (effort instanceof Effort.Missed && reps > 0) {
            inAll = Optional.of(RepsInAll.of(reps, Rpe.LIMIT));
        }
        return inAll.filter(RepsInAll::estimates);
    }
}
