package dev.yarbel.core.contest;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
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

    private static final int MILLIS = 3;

    private ContestLog() {}

    /** A single; in the suit or shirt where the rules are of those. */
    public static LiftedSet attempt(Lift lift, Attempt attempt, ContestRules rules) {
        SetDetails details = SetDetails.NONE.proven(SetDetails.Proof.CONTEST_ATTEMPT);
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
     * What was done in an event; nobody said how hard it was. Empty for what is only expected, and where no load is known.
     *
     * <p>Of a series the heaviest piece that was moved is its load.
     */
    public static Optional<LiftedSet> event(AnnouncedEvent event, Lift lift, EventResult result) {
        return moved(event, result)
                .filter(mass -> !result.guessed())
                .map(mass -> event(event.measure(), lift, mass, event.course(), result));
    }

    private static Optional<Mass> moved(AnnouncedEvent event, EventResult result) {
        if (event.measure() == EventMeasure.LOAD && result.scores()) {
            return Optional.of(Mass.of(result.amount(), MassUnit.KG));
        }
        int pieces = Math.max(1, result.amount().intValue());
        return event.load().or(() -> event.series().stream().limit(pieces).max(Mass::compareTo));
    }

    private static LiftedSet event(
            EventMeasure measure, Lift lift, Mass load, Optional<Length> course, EventResult result) {
        if (!result.scores()) {
            return new LiftedSet(lift, load, 0, new Effort.Missed(), details(Optional.empty(), Optional.empty()));
        }
        return switch (measure) {
            case LOAD -> lifted(lift, load, 1, Optional.empty(), Optional.empty());
            case REPS, ROUNDS -> lifted(lift, load, result.amount().intValue(), Optional.empty(), Optional.empty());
            case PIECES -> lifted(lift, load, result.amount().intValue(), result.seconds(), Optional.empty());
            case HOLD -> lifted(lift, load, 1, Optional.of(result.amount()), Optional.empty());
            case TIME -> lifted(lift, load, 1, Optional.of(result.amount()), course);
            case DISTANCE ->
                lifted(lift, load, 1, result.seconds(), Optional.of(Length.of(result.amount(), LengthUnit.M)));
        };
    }

    private static LiftedSet lifted(
            Lift lift, Mass load, int reps, Optional<BigDecimal> seconds, Optional<Length> distance) {
        return new LiftedSet(
                lift,
                load,
                Math.max(1, reps),
                new Effort.Unrated(),
                details(
                        seconds.map(time ->
                                Duration.ofMillis(time.movePointRight(MILLIS).longValue())),
                        distance));
    }

    private static SetDetails details(Optional<Duration> time, Optional<Length> distance) {
        SetDetails none = SetDetails.NONE;
        return new SetDetails(
                0,
                none.missedBy(),
                none.speed(),
                none.worn(),
                none.video(),
                none.partner(),
                none.coach(),
                none.note(),
                time,
                distance,
                none.asked(),
                none.setUp(),
                none.reps(),
                Optional.of(SetDetails.Proof.CONTEST_ATTEMPT));
    }
}
