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
    /** The quantile of the standard normal distribution between whose two sides 80 % lie. */
    static final double EIGHTY = 1.2816;

    private static final double PERCENT = 100;
    /** A starting value of ours. */
    private static final Percent WIDE = Percent.of(3);

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

    /** The last session up to the end of a day that moved it; empty where none had by then. */
    public Optional<Movement> lastMovement(LocalDate day) {
        return movements.stream()
                .filter(movement -> !movement.date().isAfter(day))
                .reduce((first, second) -> second);
    }

    /** Whether it is so unsure that what is planned by it may be another load: one standard deviation of 3 % and more. */
    public boolean isWide() {
        return !spread.isLessThan(max.times(WIDE));
    }

    /** The low end of the range that holds the max four times of five. */
    public Mass low() {
        return at(max, spread, -EIGHTY);
    }

    /** The high end of the range that holds the max four times of five; a little further off than the low one. */
    public Mass high() {
        return at(max, spread, EIGHTY);
    }

    /** So many standard deviations off; the logarithm of a max is what is normally distributed. */
    private static Mass at(Mass max, Mass spread, double spreads) {
        double share = spread.percentOf(max).figure().doubleValue() / PERCENT;
        return max.times(Percent.ofShare(BigDecimal.valueOf(Math.exp(spreads * share))));
    }

    /**
     * The estimate before and after a session, with what each of its sets had to do with it. What its sets did not move, other
     * lifts of the session did, by what they told of the day's form and of how the lifter rates.
     *
     * @param spread one standard deviation of the estimate after it
     */
    public record Movement(LocalDate date, Mass before, Mass after, Mass spread, List<Contribution> contributions) {

        public Movement {
            contributions = List.copyOf(contributions);
        }

        /** The low end of the range that held the max four times of five after it. */
        public Mass low() {
            return at(after, spread, -EIGHTY);
        }

        /** The high end of it. */
        public Mass high() {
            return at(after, spread, EIGHTY);
        }

        /** What other lifts of the session, or a bound on how much one may do, moved it by. */
        public Mass elsewhere() {
            return contributions.stream().map(Contribution::moved).reduce(after.minus(before), Mass::minus);
        }
    }

    /**
     * One set's part in a session's evidence.
     *
     * @param max the max this set alone speaks for
     * @param weight its share of the session's evidence; all of a session's add up to 100 %
     * @param moved how far it moved the estimate
     */
    public record Contribution(LiftedSet set, Mass max, Percent weight, Mass moved) {

        /** Whether it only says that the max is at least so much: it was made, and easy or not rated, or some of it was helped or broken. */
        public boolean isLeast() {
            return set.cleanReps() < set.reps() || set.made() && set.rating().isEmpty();
        }
    }
}
