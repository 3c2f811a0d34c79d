package dev.yarbel.core.block;

import java.time.LocalDate;
import java.util.List;

/**
 * Some weeks of training towards something.
 *
 * @param start the first day of the first week
 * @param weeks 1 to 52
 * @param days in the order of the week
 */
public record Block(LocalDate start, int weeks, List<TrainingDay> days) {

    public static final int MOST_WEEKS = 52;

    public Block {
        if (weeks < 1 || weeks > MOST_WEEKS) {
            throw new IllegalArgumentException("1 to " + MOST_WEEKS + " weeks");
        }
        days = List.copyOf(days);
        for (TrainingDay day : days) {
            for (Slot slot : day.slots()) {
                if (slot.doses().size() != weeks) {
                    throw new IllegalArgumentException("slot " + slot.letter() + " of " + day.name() + " has doses for "
                            + slot.doses().size() + " weeks, not " + weeks);
                }
            }
        }
    }

    /** The date of a training day, its index and the week counted from 0. */
    public LocalDate date(int day, int week) {
        return start.plusWeeks(week).plusDays(days.get(day).offset());
    }

    /** The last day of the last week. */
    public LocalDate end() {
        return start.plusWeeks(weeks).minusDays(1);
    }
}
