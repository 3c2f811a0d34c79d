package dev.yarbel.core.estimate;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSet;
import java.time.LocalDate;
import java.util.List;

/**
 * An estimated one-repetition maximum with its reasons.
 *
 * @param max the estimate
 * @param spread one standard deviation of it
 * @param movements how each session moved it, oldest first
 */
public record MaxEstimate(Mass max, Mass spread, List<Movement> movements) {

    public MaxEstimate {
        movements = List.copyOf(movements);
    }

    /** The estimate before and after a session, with what each of its sets had to do with it. */
    public record Movement(LocalDate date, Mass before, Mass after, List<Contribution> contributions) {

        public Movement {
            contributions = List.copyOf(contributions);
        }
    }

    /**
     * One set's part in a session's evidence.
     *
     * @param max the max this set alone speaks for
     * @param weight its share of the session's evidence; all of a session's add up to 100 %
     * @param moved how far it moved the estimate; all of a session's add up to the whole movement, but for rounding
     */
    public record Contribution(LiftedSet set, Mass max, Percent weight, Mass moved) {}
}
