package dev.yarbel.core.contest;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Who goes when in an event of strongman: in the first by lot, in each later one whoever has the fewest points so far first, the leader last; who is
 * level by lot (common practice, no source: the promoter says).
 *
 * @param who the first to go first
 * @param begins when the first one goes; empty where nobody said
 * @param each how long one takes, with setting up again; empty where nobody said
 */
public record RunOrder<T>(List<T> who, Optional<LocalTime> begins, Optional<Duration> each) {

    public RunOrder {
        who = List.copyOf(who);
    }

    /**
     * @param byLot all, by lot
     * @param points before the event; of nobody before the first
     */
    public static <T> RunOrder<T> of(
            List<T> byLot, Map<T, BigDecimal> points, Optional<LocalTime> begins, Optional<Duration> each) {
        // sorting leaves those who are level in their order
        return new RunOrder<>(
                byLot.stream()
                        .sorted(Comparator.comparing(one -> points.getOrDefault(one, BigDecimal.ZERO)))
                        .toList(),
                begins,
                each);
    }

    /** From 1. */
    public int place(T one) {
        return who.indexOf(one) + 1;
    }

    /** When somebody goes; empty where it cannot be reckoned, and past midnight. */
    public Optional<LocalTime> at(T one) {
        return begins.flatMap(first -> each.map(takes -> takes.multipliedBy(place(one) - 1L))
                .filter(waits -> waits.compareTo(Duration.between(first, LocalTime.MAX)) < 0)
                .map(first::plus));
    }

    /** How long somebody rests from the end of this event to the start of a later one; empty where it cannot be reckoned, and where one overlaps the other. */
    public Optional<Duration> rest(T one, RunOrder<T> next) {
        return at(one).flatMap(runs -> next.at(one)
                .map(again -> Duration.between(runs, again).minus(each.orElseThrow()))
                .filter(rest -> !rest.isNegative()));
    }
}
