package dev.yarbel.core.school;

import dev.yarbel.core.measure.Percent;
import java.util.Optional;

/**
 * What is asked of one lift in a block.
 *
 * @param sessions in the week; empty: as the school has it
 * @param start the share of the max to start from; empty: as the school has it
 * @param weakPoint what its assistance should answer first; empty where nothing was seen
 */
public record LiftRequest(
        School school, Optional<Integer> sessions, Optional<Percent> start, Optional<WeakPoint> weakPoint) {

    /** As the school has it. */
    public static LiftRequest of(School school) {
        return new LiftRequest(school, Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** The same with a weak point. */
    public LiftRequest with(WeakPoint seen) {
        return new LiftRequest(school, sessions, start, Optional.of(seen));
    }
}
