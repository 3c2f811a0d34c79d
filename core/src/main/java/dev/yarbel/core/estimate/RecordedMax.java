package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.Worn;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Set;

/**
 * A max that somebody set down: what was lifted or is wanted, when, with what on, and where it is known from.
 *
 * @param reps 1, or for a rep max the repetitions to the limit, 2 to 20
 * @param source in whose words, such as the contest's name; may be empty
 */
public record RecordedMax(Lift lift, Kind kind, Mass load, int reps, LocalDate on, Set<Worn> worn, String source) {

    /** After so many weeks a contest or tested max is stale. */
    public static final int FRESH_WEEKS = 12;

    public static final int MOST_REPS = 20;

    /** What kind of max it is. */
    public enum Kind {
        /** Lifted in a contest or mock contest. */
        CONTEST,
        /** Lifted in training, for the max. */
        TESTED,
        /** Somebody's guess of the max. */
        ESTIMATED,
        /** Several repetitions to the limit. */
        REP_MAX,
        /** Wanted at the end. */
        GOAL;

        /** Whether a single was lifted that nobody has to work out. */
        public boolean isLifted() {
            return this == CONTEST || this == TESTED;
        }
    }

    public RecordedMax {
        if (!load.isPositive()) {
            throw new IllegalArgumentException("a max is more than nothing");
        }
        if (kind == Kind.REP_MAX ? reps < 2 || reps > MOST_REPS : reps != 1) {
            throw new IllegalArgumentException("a rep max has 2 to " + MOST_REPS + " repetitions, any other one");
        }
        worn = Worn.inOrder(worn);
    }

    /** Whole weeks since it was lifted or set down; none for a goal to come. */
    public long weeksOld(LocalDate today) {
        return Math.max(0, ChronoUnit.WEEKS.between(on, today));
    }

    /** Whether it was lifted so long ago that a load hanging on it may be wrong; a goal does not age. */
    public boolean isStale(LocalDate today) {
        return kind != Kind.GOAL && weeksOld(today) > FRESH_WEEKS;
    }

    /** The single it speaks for by a curve: the load itself, but for a rep max. */
    public Mass max(RepCurve curve) {
        return kind == Kind.REP_MAX ? curve.max(load, RepsInAll.toTheLimit(reps)) : load;
    }
}
