package dev.yarbel.core.estimate;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * Where a max has been going over the last six weeks. Less than 2.5 % either way is standing still: it is
 * within what a good or a bad day makes of an estimate. Window and threshold are starting values of ours.
 *
 * @param by how far the estimate moved; negative when it fell
 * @param since the first day of the window that something was lifted on
 * @param sessions that said something about it
 */
public record Trend(Direction direction, Mass by, LocalDate since, int sessions) {

    /** How far back it looks. */
    public static final int WEEKS = 6;

    private static final int LEAST_DAYS = 14;
    private static final Percent LEAST = Percent.of("2.5");

    /** Which way. */
    public enum Direction {
        UP,
        STANDING,
        DOWN
    }

    /** The trend of an estimate; empty where the window's sessions lie less than two weeks apart. */
    public static Optional<Trend> of(MaxEstimate estimate, LocalDate today) {
        List<MaxEstimate.Movement> within = estimate.movements().stream()
                .filter(movement -> movement.date().isAfter(today.minusWeeks(WEEKS)))
                .toList();
        if (within.isEmpty()) {
            return Optional.empty();
        }
        MaxEstimate.Movement first = within.get(0);
        MaxEstimate.Movement last = within.get(within.size() - 1);
        if (ChronoUnit.DAYS.between(first.date(), last.date()) < LEAST_DAYS) {
            return Optional.empty();
        }
        Mass by = last.after().minus(first.before());
        boolean moved = by.abs().isGreaterThan(first.before().times(LEAST));
        Direction direction = !moved ? Direction.STANDING : by.isNegative() ? Direction.DOWN : Direction.UP;
        return Optional.of(new Trend(direction, by, first.date(), within.size()));
    }
}
