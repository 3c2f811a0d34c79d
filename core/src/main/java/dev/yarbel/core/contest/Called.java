package dev.yarbel.core.contest;

import dev.yarbel.core.measure.Mass;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/**
 * An attempt that was named and is still to be lifted.
 *
 * @param who any number that tells lifters apart
 * @param round which attempt it is, from 1
 * @param lot drawn before the contest; no two lifters have the same
 */
public record Called(long who, int flight, int round, Mass load, int lot) {

    /** Flight by flight its rounds, in each from light to heavy, equal loads by lot (IPF Technical Rules, from memory). */
    private static final Comparator<Called> ORDER = Comparator.comparingInt(Called::flight)
            .thenComparingInt(Called::round)
            .thenComparing(Called::load)
            .thenComparingInt(Called::lot);

    /** Who lifts when: the first is up, the second on deck, the third in the hole. Whoever's load was not named yet is not among them. */
    public static List<Called> inOrder(Collection<Called> named) {
        return named.stream().sorted(ORDER).toList();
    }
}
