package dev.yarbel.core.contest;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How long an attempt takes in a flight, as the flight goes: from its beginning to the last first attempt that is over, by how many were lifted
 * until then. About a minute is usual (common practice, no source); from the third attempt on the flight itself is believed, which is ours.
 */
public final class FlightPace {

    private static final int LEAST_ATTEMPTS = 3;
    private static final long SHORTEST = 30;
    private static final long LONGEST = 180;

    private FlightPace() {}

    /**
     * A first attempt that is over.
     *
     * @param before attempts of the flight before it
     * @param said when it was said how it went
     */
    public record Over(int before, Instant said) {}

    /** Seconds an attempt takes, 30 to 180; empty where too few are over, or the flight began later than it was to. */
    public static Optional<Integer> learnt(Instant start, Stream<Over> over) {
        return over.max(Comparator.comparing(Over::before))
                .filter(last ->
                        last.before() + 1 >= LEAST_ATTEMPTS && last.said().isAfter(start))
                .map(last -> (int) Math.max(
                        SHORTEST,
                        Math.min(LONGEST, Duration.between(start, last.said()).toSeconds() / (last.before() + 1))));
    }
}
