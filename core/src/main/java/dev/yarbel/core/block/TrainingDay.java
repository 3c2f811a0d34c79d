package dev.yarbel.core.block;

import java.util.List;

/**
 * One training day, the same in each week of a block but for its doses.
 *
 * @param name what the coach calls it
 * @param offset days after the first day of the week, 0 to 6
 * @param slots in the order they are trained
 */
public record TrainingDay(String name, int offset, List<Slot> slots) {

    public TrainingDay {
        if (offset < 0 || offset > 6) {
            throw new IllegalArgumentException("a day of the week lies 0 to 6 days after its first");
        }
        slots = List.copyOf(slots);
    }
}
