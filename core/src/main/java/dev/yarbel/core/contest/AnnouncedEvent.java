package dev.yarbel.core.contest;

import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.Mass;
import java.time.Duration;
import java.util.List;
import java.util.Optional;

/**
 * An event of strongman, as it is announced.
 *
 * @param load of the implement; empty where none is announced
 * @param series what each piece of a series or a medley weighs, in the order they are taken; empty where nobody said
 * @param course how far it goes
 * @param limit the time there is
 */
public record AnnouncedEvent(
        EventMeasure measure,
        Optional<Mass> load,
        List<Mass> series,
        Optional<Length> course,
        Optional<Duration> limit) {

    public AnnouncedEvent {
        series = List.copyOf(series);
    }

    /** Nothing is said but what counts, and the load. */
    public static AnnouncedEvent of(EventMeasure measure, Optional<Mass> load) {
        return new AnnouncedEvent(measure, load, List.of(), Optional.empty(), Optional.empty());
    }

    /** The heaviest of what is moved in it: what a lifter has to be able to lift at all. */
    public Optional<Mass> heaviest() {
        return load.or(() -> series.stream().max(Mass::compareTo));
    }
}
