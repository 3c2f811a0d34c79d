package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.record.LiftedSet;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/**
 * How a lifter's ratings stand to those of a coach who watched the same sets.
 *
 * @param halves by how many half points the lifter rated harder on average, rounded; negative when easier
 * @param sets that both rated
 */
public record RatingGap(int halves, int sets) {

    /** Fewer sets than these say nothing; a starting value of ours. */
    public static final int LEAST_SETS = 3;

    /** How far the ratings lie apart, in points: {@code 1.5}. */
    public String points() {
        return Math.abs(halves) / 2 + (halves % 2 == 0 ? "" : ".5");
    }

    /** The gap over sets that both rated; empty where those are too few. */
    public static Optional<RatingGap> of(Collection<LiftedSet> lifted) {
        List<Integer> gaps = lifted.stream()
                .flatMap(set -> set.effort().rating().stream()
                        .flatMap(own -> set.details().coach().rating().stream().map(seen -> harder(own, seen))))
                .toList();
        if (gaps.size() < LEAST_SETS) {
            return Optional.empty();
        }
        double mean = gaps.stream().mapToInt(Integer::intValue).average().orElseThrow();
        return Optional.of(new RatingGap((int) Math.round(mean), gaps.size()));
    }

    /** Fewer repetitions left are a harder rating. */
    private static int harder(Rpe own, Rpe seen) {
        return seen.halvesLeft() - own.halvesLeft();
    }
}
