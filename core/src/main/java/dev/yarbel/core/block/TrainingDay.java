package dev.yarbel.core.block;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * One training day, the same in each week of a block but for its doses.
 *
 * @param name what the coach calls it
 * @param offset days after the first day of the week, 0 to 6
 * @param slots in the order they are trained, each under a letter of its own
 */
public record TrainingDay(DayId id, String name, int offset, List<Slot> slots) {

    public TrainingDay {
        if (offset < 0 || offset > 6) {
            throw new IllegalArgumentException("a day of the week lies 0 to 6 days after its first");
        }
        slots = List.copyOf(slots);
        Set<String> letters = new HashSet<>();
        for (Slot slot : slots) {
            if (!letters.add(slot.letter())) {
                throw new IllegalArgumentException("two slots of " + name + " are called " + slot.letter());
            }
        }
    }

    /** A day that its block gives a number. */
    public TrainingDay(String name, int offset, List<Slot> slots) {
        this(DayId.NEW, name, offset, slots);
    }

    /** The same day under another number. */
    public TrainingDay as(DayId other) {
        return new TrainingDay(other, name, offset, slots);
    }

    /** The same day with other slots. */
    public TrainingDay with(List<Slot> others) {
        return new TrainingDay(id, name, offset, others);
    }

    /** The place of a slot, from 0; -1 where the day has no such slot. */
    public int indexOf(SlotId slot) {
        for (int at = 0; at < slots.size(); at++) {
            if (slots.get(at).id().equals(slot)) {
                return at;
            }
        }
        return -1;
    }
}
