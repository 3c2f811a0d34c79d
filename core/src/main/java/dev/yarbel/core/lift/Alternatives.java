package dev.yarbel.core.lift;

import dev.yarbel.core.measure.Percent;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** Lifts that can stand in for another one on a day. */
public final class Alternatives {

    private Alternatives() {}

    /**
     * The lifts that train at least half of what one trains, ask for no more than their parent's max, and, where it loads an
     * aching place, load fewer of them: those that
     * load the fewest of them first, then the nearest of kin, then those that train the most of the same.
     *
     * @param aching the places that ache
     * @param most how many at most
     */
    public static List<Lift> of(Lift lift, Collection<Tissue> aching, Catalogue catalogue, int most) {
        Variation given = catalogue.of(lift);
        Set<Tissue> spared = EnumSet.noneOf(Tissue.class);
        spared.addAll(aching);
        long before = aches(given, spared);
        return catalogue.all().stream()
                .filter(other -> !other.lift().equals(lift))
                .filter(other ->
                        2 * shared(given, other) >= Math.max(1, given.trains().size()))
                .filter(other -> other.parent()
                        .filter(ratio -> ratio.share().isGreaterThan(Percent.HUNDRED))
                        .isEmpty())
                .filter(other -> before == 0 || aches(other, spared) < before)
                .sorted(Comparator.<Variation>comparingLong(other -> aches(other, spared))
                        .thenComparing(other -> !catalogue.root(other.lift()).equals(catalogue.root(lift)))
                        .thenComparing(other -> -shared(given, other)))
                .limit(most)
                .map(Variation::lift)
                .toList();
    }

    private static int shared(Variation given, Variation other) {
        return (int) given.trains().stream().filter(other.trains()::contains).count();
    }

    private static long aches(Variation variation, Set<Tissue> aching) {
        return variation.loads().stream().filter(aching::contains).count();
    }
}
