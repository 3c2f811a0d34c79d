package dev.yarbel.core.adjust;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.session.LiftNumbers;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * What followed an answered call in the four weeks after it, of its lift, or of all training where the call was about all of it. The
 * bounds are starting values of ours; that answers are judged by ratings, misses, aches and the lift's trend is common practice
 * (no source).
 *
 * @param sessions in which the lift was trained, deloads left out
 * @param rated top sets with a rating beside one that was asked for
 * @param over those a point or more over their target
 * @param under those a point or more under it
 * @param missed sessions in which a set was missed for strength or technique
 * @param hurt whether something hurt in one of the sessions
 * @param trend how far the estimate moved, as a share of what it was; empty where it is not known at both ends, and for all training
 */
public record Aftermath(
        int sessions, int rated, int over, int under, int missed, boolean hurt, Optional<Percent> trend) {

    /** So long after an answer it is looked at again. */
    public static final int DAYS = 28;

    private static final int LEAST_SESSIONS = 2;
    private static final int LEAST_RATED = 2;
    private static final int POINT = 2;
    private static final int ONE_IN = 3;
    private static final Percent FALLEN = Percent.of("-2.5");

    /**
     * What followed.
     *
     * @param answered the day of the answer; sessions of that day came before it
     * @param log finished sessions, oldest first
     * @param numbers of each lift, by which ratings are read
     * @param estimate of the lift
     */
    public static Aftermath of(
            Lift lift,
            LocalDate answered,
            List<SeenSession> log,
            Function<Lift, LiftNumbers> numbers,
            Optional<MaxEstimate> estimate) {
        boolean whole = lift.equals(Subject.WHOLE);
        List<SeenSession> after = log.stream()
                .filter(session -> session.date().isAfter(answered)
                        && !session.date().isAfter(answered.plusDays(DAYS))
                        && !session.isEasy()
                        && (whole || session.has(lift)))
                .toList();
        List<Integer> ratings = after.stream()
                .flatMap(session -> sets(session, lift).stream())
                .flatMap(set -> set.halvesOver(numbers.apply(set.set().lift())).stream())
                .toList();
        return new Aftermath(
                after.size(),
                ratings.size(),
                count(ratings, halves -> halves >= POINT),
                count(ratings, halves -> halves <= -POINT),
                count(after, session -> sets(session, lift).stream().anyMatch(SeenSet::isMissed)),
                after.stream().anyMatch(session -> session.pain().isPresent()),
                whole ? Optional.empty() : estimate.flatMap(known -> trend(known, answered)));
    }

    private static List<SeenSet> sets(SeenSession session, Lift lift) {
        return lift.equals(Subject.WHOLE)
                ? session.lifts().stream()
                        .flatMap(each -> session.work(each).stream())
                        .toList()
                : session.work(lift);
    }

    private static <T> int count(List<T> of, Predicate<T> which) {
        return (int) of.stream().filter(which).count();
    }

    private static Optional<Percent> trend(MaxEstimate estimate, LocalDate answered) {
        Optional<MaxEstimate.Movement> before = estimate.lastMovement(answered);
        Optional<MaxEstimate.Movement> after = estimate.lastMovement(answered.plusDays(DAYS));
        return before.flatMap(old -> after.filter(now -> now.date().isAfter(old.date()))
                .map(now -> now.after().minus(old.after()).percentOf(old.after())));
    }

    /** Whether it bears out an answer that went this way. What was taken down may fall, and what was raised may come easily. */
    public Verdict verdict(Direction answer) {
        boolean telling = rated > 0 || missed > 0 || hurt || trend.isPresent();
        if (sessions < LEAST_SESSIONS || !telling) {
            return Verdict.UNKNOWN;
        }
        if (hurt) {
            return Verdict.HURT;
        }
        if (missed >= 2 || rated >= LEAST_RATED && over * ONE_IN >= rated) {
            return Verdict.TOO_MUCH;
        }
        boolean takenDown = answer == Direction.LESS || answer == Direction.REST;
        if (!takenDown && trend.filter(moved -> !moved.isGreaterThan(FALLEN)).isPresent()) {
            return Verdict.FELL;
        }
        boolean mayBeEasy = answer == Direction.MORE || answer == Direction.REST;
        return !mayBeEasy && rated >= LEAST_RATED && under * 2 > rated ? Verdict.TOO_LITTLE : Verdict.BORNE_OUT;
    }
}
