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
 * @param load zero where nothing but the body was moved
 * @param reps the repetitions made, 0 to 100; none only when the set was missed
 */
public record LiftedSet(Lift lift, Mass load, int reps, Effort effort, SetDetails details) {

    public LiftedSet {
        if (load.isNegative()) {
            throw new IllegalArgumentException("a load is nothing or more");
        }
        if (details.helped() > reps) {
            throw new IllegalArgumentException("no more repetitions can be helped than were made");
        }
        if (reps < 0 || reps > 100 || reps == 0 && !effort.isMissed()) {
            throw new IllegalArgumentException("a set has 1 to 100 repetitions, or was missed");
        }
    }

    /** A set of which nothing more is known. */
    public LiftedSet(Lift lift, Mass load, int reps, Effort effort) {
        this(lift, load, reps, effort, SetDetails.NONE);
    }

    /** The same with other details. */
    public LiftedSet with(SetDetails other) {
        return new LiftedSet(lift, load, reps, effort, other);
    }

    /** The same without a rating, which a warm-up is too light for; a miss stays one. */
    public LiftedSet asWarmUp() {
        return effort.isMissed() ? this : new LiftedSet(lift, load, reps, new Effort.Unrated(), details);
    }

    /** The repetitions that the lifter made alone, and cleanly as far as anybody saw. */
    public int cleanReps() {
        return details.clean(reps);
    }

    /** Whether the planned repetitions were made. */
    public boolean made() {
        return !effort.isMissed();
    }

    /**
     * Whether its repetitions were all that would go, and that is more than somebody's word: a set that was taken to the limit and said to be,
     * with nobody's help, or one missed for want of strength. A rating of 10 alone is none of that.
     */
    public boolean provesTheLimit() {
        boolean failed = effort.isMissed()
                && details.missedBy()
                        .filter(why -> why != SetDetails.MissedBy.STRENGTH)
                        .isEmpty();
        return failed && cleanReps() == reps || takenToTheLimit();
    }

    private boolean takenToTheLimit() {
        return made()
                && cleanReps() == reps
                && details.proof().filter(SetDetails.Proof.LIMIT_SET::equals).isPresent();
    }

    /** What the lifter rated it, or 10 where it was taken to the limit: then nobody need guess. */
    public Optional<Rpe> rating() {
        return takenToTheLimit() ? Optional.of(Rpe.LIMIT) : effort.rating();
    }

    /**
     * The rating that counts: the lifter's own, moved by half a point at most toward what others saw of the set. A video, a
     * partner, a coach and the bar's speed that agree still move it by half a point; where as many see it harder as easier they move it by nothing (common practice,
     * no source). After a set that was taken to the limit it is 10, whatever was said.
     */
    public Optional<Rpe> ratingOnRecord() {
        return takenToTheLimit()
                ? rating()
                : effort.rating().map(own -> own.towards(Integer.signum(details.harderThan(own))));
    }

    /**
     * The repetitions the load was good for, where the set says something about a max: rated 6 or harder, or missed
     * after at least one repetition, and twelve repetitions in all at most. A set that a spotter helped says nothing, nor
     * does a miss for another reason than strength.
     */
    public Optional<RepsInAll> repsThatEstimate() {
        if (load.isZero()
                || details.helped() > 0
                || details.asked().changesTheLoad()
                || details.missedBy()
                        .filter(why -> why != SetDetails.MissedBy.STRENGTH)
                        .isPresent()) {
            return Optional.empty();
        }
        Optional<Rpe> rated = effort.isMissed() && reps > 0 ? Optional.of(Rpe.LIMIT) : rating();
        return rated.filter(Rpe::estimates).map(rpe -> RepsInAll.of(reps, rpe)).filter(RepsInAll::estimates);
    }
}
