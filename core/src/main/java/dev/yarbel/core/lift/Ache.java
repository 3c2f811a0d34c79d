package dev.yarbel.core.lift;

import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;

/**
 * An ache or injury that nobody has cleared: where, in whose words, since when.
 *
 * @param weight how bad it was when it was noted, 1 to 10, where anybody said
 * @param lifts the lifts that load it, as the coach or lifter named them; empty means every lift that loads its place
 */
public record Ache(Tissue place, String words, LocalDate since, Optional<Integer> weight, Set<Lift> lifts) {

    /** One that nobody weighed. */
    public Ache(Tissue place, String words, LocalDate since, Set<Lift> lifts) {
        this(place, words, since, Optional.empty(), lifts);
    }

    public Ache {
        weight.ifPresent(figure -> {
            if (figure < 1 || figure > 10) {
                throw new IllegalArgumentException("an ache weighs 1 to 10");
            }
        });
        lifts = Set.copyOf(lifts);
    }

    /** Whether a lift loads it. A lift that was named stands for its variations too. */
    public boolean isLoadedBy(Lift lift, Catalogue catalogue) {
        return lifts.isEmpty()
                ? catalogue.loads(lift, place)
                : lifts.contains(lift) || lifts.contains(catalogue.root(lift));
    }
}
