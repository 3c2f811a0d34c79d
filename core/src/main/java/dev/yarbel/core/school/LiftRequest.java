package dev.yarbel.core.school;

import dev.yarbel.core.measure.Percent;
import java.util.Optional;

/**
 * What is asked of one lift in a block.
 *
 * @param sessions in the week; empty: as the school has it
 * @param start the share of the max to start from; empty: as the school has it
 */
public record LiftRequest(School school, Optional<Integer> sessions, Optional<Percent> start) {

    /** As the school has it. */
    public static LiftRequest of(School school) {
        return new LiftRequest(school, Optional.empty(), Optional.empty());
    }
}
