package dev.yarbel.core.adjust;

import dev.yarbel.core.session.LiftNumbers;
import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** How far the sets that others hang on left their ratings in a session: what the rules about targets have in common. */
final class OffTarget {

    /** A whole point, and half a point more where a coach keeps leaving it (common practice, no source). */
    static final Threshold POINT = Threshold.of("1", "1", "0.5", "3", Threshold.Unit.POINTS);

    private static final BigDecimal HALVES = BigDecimal.valueOf(2);

    private OffTarget() {}

    /**
     * The hardest set of a session's, where it rated so many points or more above its target. A set with more on the bar than was
     * asked for does not count: that it was harder is no news of the lifter.
     */
    static Optional<SeenSet> over(List<SeenSet> work, LiftNumbers numbers, BigDecimal points) {
        return rated(work.stream().filter(set -> !set.isHeavierThanAsked()).toList(), numbers)
                .filter(set -> BigDecimal.valueOf(set.halvesOver(numbers).orElseThrow())
                                .compareTo(points.multiply(HALVES))
                        >= 0);
    }

    /**
     * The hardest set of a session's, where even that rated so many points or more below its target, with no less on the bar than was
     * asked for.
     */
    static Optional<SeenSet> under(List<SeenSet> work, LiftNumbers numbers, BigDecimal points) {
        return rated(work, numbers)
                .filter(set -> !set.isLighterThanAsked())
                .filter(set -> BigDecimal.valueOf(set.halvesOver(numbers).orElseThrow())
                                .negate()
                                .compareTo(points.multiply(HALVES))
                        >= 0);
    }

    private static Optional<SeenSet> rated(List<SeenSet> work, LiftNumbers numbers) {
        return work.stream()
                .filter(set -> set.halvesOver(numbers).isPresent())
                .max(Comparator.comparing(set -> set.halvesOver(numbers).orElseThrow()));
    }
}
