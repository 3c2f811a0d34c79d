package dev.yarbel.core.block;

/**
 * Names a training day. It stays the same when the day is renamed, moved or brought back, and no other day of any block that
 * is kept has it.
 *
 * @param number from 1; 0 for a day that has none yet and is given one by its block
 */
public record DayId(long number) {

    /** A day that nobody has numbered yet. */
    public static final DayId NEW = new DayId(0);

    public boolean isNew() {
        return number == 0;
    }

    @Override
    public String toString() {
        return String.valueOf(number);
    }
}
