package dev.yarbel.core.contest;

import dev.yarbel.core.measure.Mass;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A lifter's place by total.
 *
 * @param place from 1; empty for whoever has no total
 */
public record Placed(Standing standing, Optional<Integer> place) {

    /**
     * How a lifter stands.
     *
     * @param who any number that tells lifters apart
     * @param total the best of each lift so far; empty for whoever is out
     * @param body as weighed in; empty where nobody knows
     */
    public record Standing(long who, Optional<Mass> total, Optional<Mass> body) {}

    /**
     * The more comes first; of equal totals the lighter lifter (IPF Technical Rules, from memory). Where that does not tell them apart, or
     * somebody's body mass is not known, they share the place.
     */
    public static List<Placed> of(Collection<Standing> standings) {
        List<Standing> sorted = standings.stream()
                .sorted(Comparator.comparing((Standing one) -> one.total().orElse(Mass.ZERO), Comparator.reverseOrder())
                        .thenComparing(one -> one.body().orElse(Mass.ZERO)))
                .toList();
        List<Placed> placed = new ArrayList<>();
        for (int i = 0; i < sorted.size(); i++) {
            Standing one = sorted.get(i);
            Optional<Integer> place = Optional.empty();
            if (one.total().isPresent()) {
                place = i > 0 && isLevel(sorted.get(i - 1), one)
                        ? placed.get(i - 1).place()
                        : Optional.of(i + 1);
            }
            placed.add(new Placed(one, place));
        }
        return placed;
    }

    private static boolean isLevel(Standing one, Standing other) {
        boolean unknown = one.body().isEmpty() || other.body().isEmpty();
        return one.total().equals(other.total()) && (unknown || one.body().equals(other.body()));
    }

    /**
     * The load that a lift must be made with to come before somebody.
     *
     * @param subtotal without the lift
     * @param theirs the total to be beaten
     * @param winsTies whether an equal total is enough
     */
    public static Mass toPass(ContestRules rules, Mass subtotal, Mass theirs, boolean winsTies) {
        Mass lacking = theirs.minus(subtotal);
        if (lacking.isNegative()) {
            return rules.step();
        }
        Mass down = rules.down(lacking);
        boolean enough = winsTies && down.equals(lacking) && down.isPositive();
        return enough ? down : down.plus(rules.step());
    }
}
