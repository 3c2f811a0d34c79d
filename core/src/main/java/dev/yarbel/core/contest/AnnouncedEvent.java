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

    /** The lightest of what is moved in it: what was trained with less says nothing of it. */
    Optional<Mass> lightest() {
        return load.or(() -> series.stream().min(Mass::compareTo));
    }
}
