package dev.yarbel.core.block;

/**
 * Names a slot. It stays the same when the slot is given another letter or lift, moved or brought back, and no other slot of
 * any block that is kept has it.
 *
 * @param number from 1; 0 for a slot that has none yet and is given one by its block
 */
public record SlotId(long number) implements Comparable<SlotId> {

    /** A slot that nobody has numbered yet. */
    public static final SlotId NEW = new SlotId(0);

    public boolean isNew() {
        return number == 0;
    }

    @Override
    public int compareTo(SlotId other) {
        return Long.compare(number, other.number);
    }

    @Override
    public String toString() {
        return String.valueOf(number);
    }
}
