package dev.yarbel.core.school;

import dev.yarbel.core.measure.Percent;
import java.util.Optional;

/**
 * What is asked of one lift in a block.
 *
 * @param sessions in the week; empty: as the school has it
 * @param start the share of the max to start from; empty: as the school has it
 * @param weakPoint what its assistance should answer first; empty where nothing was seen
 * @param assistance the most exercises that stand beside a session, from 0; empty: as the school has it
 */
public record LiftRequest(
        School school,
        Optional<Integer> sessions,
        Optional<Percent> start,
        Optional<WeakPoint> weakPoint,
        Optional<Integer> assistance) {

    public LiftRequest {
        assistance.ifPresent(most -> {
            if (most < 0) {
                throw new IllegalArgumentException("no exercise, or some");
            }
        });
    }

    /** As the school has it. */
    public static LiftRequest of(School school) {
        return new LiftRequest(school, Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** The same with a weak point. */
    public LiftRequest with(WeakPoint seen) {
        return new LiftRequest(school, sessions, start, Optional.of(seen), assistance);
    }

    /** The same with so many exercises beside a session at most. */
    public LiftRequest withAssistance(int most) {
        return new LiftRequest(school, sessions, start, weakPoint, Optional.of(most));
    }
}
