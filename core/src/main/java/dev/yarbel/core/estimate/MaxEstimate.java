package dev.yarbel.core.estimate;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSet;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * An estimated one-repetition maximum with its reasons.
 *
 * @param max the estimate
 * @param spread one standard deviation of it
 * @param movements how each session moved it, oldest first
 */
public record MaxEstimate(Mass max, Mass spread, List<Movement> movements) {

    private static final int LEAST_WEEKS_OF_TREND = 3;

    public MaxEstimate {
        movements = List.copyOf(movements);
    }

    /** How the estimate moved a week, from its first movement to its last; empty where those lie less than three weeks apart. */
    public Optional<Mass> gainAWeek() {
        if (movements.isEmpty()) {
            return Optional.empty();
        }
        Movement first = movements.get(0);
        Movement last = movements.get(movements.size() - 1);
        long weeks = ChronoUnit.WEEKS.between(first.date(), last.date());
        return weeks < LEAST_WEEKS_OF_TREND
                ? Optional.empty()
                : Optional.of(last.after()
                        .minus(first.before())
                        .times(Percent.ofShare(
                                BigDecimal.ONE.divide(BigDecimal.valueOf(weeks), 6, RoundingMode.HALF_UP))));
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
