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
     * aching place, load it less or not at all: those that load it least first, then the nearest of kin, then those that
     * train the most of the same. Where none of these loads it less, one that trains a third of the same will do.
     *
     * @param aching the places that ache
     * @param most how many at most
     */
    public static List<Lift> of(Lift lift, Collection<Tissue> aching, Catalogue catalogue, int most) {
        Variation given = catalogue.of(lift);
        Set<Tissue> spared = EnumSet.noneOf(Tissue.class);
        spared.addAll(aching);
        long before = aches(given, spared);
        List<Lift> half = of(given, spared, before, catalogue, 2);
        return (half.isEmpty() ? of(given, spared, before, catalogue, 3) : half)
                .stream().limit(most).toList();
    }

    /** Those that train at least one in so many of the same muscles. */
    private static List<Lift> of(Variation given, Set<Tissue> spared, long before, Catalogue catalogue, int oneIn) {
        return catalogue.all().stream()
                .filter(other -> !other.lift().equals(given.lift()))
                .filter(other -> oneIn * shared(given, other)
                        >= Math.max(1, given.trains().size()))
                .filter(other -> shared(given, other) > 0)
                .filter(other -> other.parent()
                        .filter(ratio -> ratio.share().isGreaterThan(Percent.HUNDRED))
                        .isEmpty())
                .filter(other -> before == 0 || aches(other, spared) < before)
                .sorted(Comparator.<Variation>comparingLong(other -> aches(other, spared))
                        .thenComparing(other -> !catalogue.root(other.lift()).equals(catalogue.root(given.lift())))
                        .thenComparing(other -> -shared(given, other)))
                .map(Variation::lift)
                .toList();
    }

    private static int shared(Variation given, Variation other) {
        return (int) given.trains().stream().filter(other.trains()::contains).count();
    }

    private static long aches(Variation variation, Set<Tissue> aching) {
        return aching.stream().mapToLong(variation::load).sum();
    }
}
