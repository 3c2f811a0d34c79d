package dev.yarbel.core.contest;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Seconds;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.Optional;

/**
 * What was lifted at a contest as a log has it, where it tells what the lifter can do like any other set, and is more than somebody's word.
 *
 * <p>What was said of an attempt is taken on the careful side: with one left it is rated 9, with nothing 10; one that was easy has no rating, as
 * nobody said how easy.
 */
public final class ContestLog {

    private static final SetDetails AT_A_CONTEST = SetDetails.NONE.proven(SetDetails.Proof.CONTEST_ATTEMPT);
    private static final int MOST_REPS = 100;
    private static final Mass MOST_LOAD = Mass.ofKg(1000);

    private ContestLog() {}

    /** A single; in the suit or shirt where the rules are of those. */
    public static LiftedSet attempt(Lift lift, Attempt attempt, ContestRules rules) {
        SetDetails details = AT_A_CONTEST;
        if (rules.equipped()) {
            details = details.worn(rules.allowed());
        }
        Optional<SetDetails.MissedBy> missedBy = attempt.why().map(NoLift::missedBy);
        if (attempt.outcome() == Outcome.TURNED_DOWN) {
            missedBy = Optional.of(SetDetails.MissedBy.CALL);
        }
        SetDetails told = missedBy.map(details::missed).orElse(details);
        return new LiftedSet(lift, attempt.load(), attempt.isMade() ? 1 : 0, effort(attempt.outcome()), told);
    }

    private static Effort effort(Outcome outcome) {
        return switch (outcome) {
            case EASY, MADE -> new Effort.Unrated();
            case SOLID -> new Effort.Rated(Rpe.of(9));
            case GRIND -> new Effort.Rated(Rpe.LIMIT);
            case TURNED_DOWN, MISSED -> new Effort.Missed();
        };
    }

    /**
     * What was done in an event; nobody said how hard it was. Empty for what is only expected, where no load is known, and for what no log holds:
     * over a hundred repetitions, two hours, or 1000 kg.
     *
     * <p>A series is logged at the lightest piece that was moved, as so many repetitions were made with that at least.
     */
    public static Optional<LiftedSet> event(AnnouncedEvent event, Lift lift, EventResult result) {
        return moved(event, result)
                .filter(mass -> !result.guessed())
                .flatMap(mass -> event(event.measure(), lift, mass, event.course(), result));
    }

    private static Optional<Mass> moved(AnnouncedEvent event, EventResult result) {
        if (event.measure() == EventMeasure.LOAD && result.scores()) {
            return Optional.of(Mass.of(result.amount(), MassUnit.KG));
        }
        int pieces = Math.max(1, result.amount().intValue());
        return event.series().stream().limit(pieces).min(Mass::compareTo).or(event::load);
    }

    private static Optional<LiftedSet> event(
            EventMeasure measure, Lift lift, Mass load, Optional<Length> course, EventResult result) {
        BigDecimal amount = result.amount();
        return switch (measure) {
            case LOAD -> lifted(lift, load, result.scores() ? 1 : 0, Optional.empty(), Optional.empty());
            case REPS, ROUNDS -> lifted(lift, load, amount.intValue(), Optional.empty(), Optional.empty());
            case PIECES -> lifted(lift, load, amount.intValue(), result.seconds(), Optional.empty());
            case HOLD -> lifted(lift, load, result.scores() ? 1 : 0, Optional.of(amount), Optional.empty());
            case TIME -> lifted(lift, load, result.scores() ? 1 : 0, Optional.of(amount), course);
            case DISTANCE ->
                lifted(
                        lift,
                        load,
                        result.scores() ? 1 : 0,
                        result.seconds(),
                        Optional.of(amount).filter(far -> far.signum() > 0).map(far -> Length.of(far, LengthUnit.M)));
        };
    }

    /** Empty where no log holds so much; that it was a slip of the thumb is seen by whoever looks for it there. */
    private static Optional<LiftedSet> lifted(
            Lift lift, Mass load, int reps, Optional<BigDecimal> seconds, Optional<Length> distance) {
        Optional<Duration> time = seconds.map(Seconds::of).filter(taken -> !taken.isZero());
        boolean held = reps <= MOST_REPS
                && !load.isGreaterThan(MOST_LOAD)
                && time.filter(taken -> taken.compareTo(SetDetails.LONGEST_TIME) > 0)
                        .isEmpty();
        return held
                ? Optional.of(new LiftedSet(
                        lift,
                        load,
                        reps,
                        reps > 0 ? new Effort.Unrated() : new Effort.Missed(),
                        reps > 0 ? AT_A_CONTEST.over(time, distance) : AT_A_CONTEST))
                : Optional.empty();
    }
}
