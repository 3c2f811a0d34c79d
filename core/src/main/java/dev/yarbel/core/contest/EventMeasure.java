package dev.yarbel.core.contest;

import java.util.Comparator;

/** What counts in an event of strongman. */
public enum EventMeasure {
    /** The heaviest load, in kg. */
    LOAD("kg", false, false),
    /** The most repetitions. */
    REPS("", false, false),
    /** The farthest, in m; whoever came as far by the shorter time. */
    DISTANCE("m", false, true),
    /** The most pieces of a series or a medley; of as many by the shorter time. */
    PIECES("", false, true),
    /** The longest hold, in s. */
    HOLD("s", false, false),
    /** The shortest time, in s. */
    TIME("s", true, false),
    /** The last one standing: the most rounds that were stood; who goes out in the same round is level. */
    ROUNDS("", false, false);

    private final String unit;
    private final boolean fewer;
    private final boolean thenSeconds;

    EventMeasure(String unit, boolean fewer, boolean thenSeconds) {
        this.unit = unit;
        this.fewer = fewer;
        this.thenSeconds = thenSeconds;
    }

    /** The unit of the amount; blank for a count. */
    public String unit() {
        return unit;
    }

    /** Whether less is better. */
    public boolean isFewer() {
        return fewer;
    }

    /** Whether a time tells apart those with the same amount. */
    public boolean hasSeconds() {
        return thenSeconds;
    }

    /** The better result first. */
    Comparator<EventResult> best() {
        Comparator<EventResult> byAmount = Comparator.comparing(EventResult::amount);
        Comparator<EventResult> first = fewer ? byAmount : byAmount.reversed();
        return thenSeconds ? first.thenComparing(result -> result.seconds().orElse(EventResult.NO_TIME)) : first;
    }
}
