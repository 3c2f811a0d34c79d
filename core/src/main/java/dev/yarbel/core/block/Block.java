package dev.yarbel.core.block;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * Some weeks of training towards something.
 *
 * @param start the first day of the first week
 * @param weeks 1 to 52
 * @param days in the order of the week
 * @param shape what each week is for
 * @param contest the day of the contest it leads to
 */
public record Block(
        LocalDate start, int weeks, List<TrainingDay> days, List<BlockWeek> shape, Optional<LocalDate> contest) {

    public static final int MOST_WEEKS = 52;

    public Block {
        if (weeks < 1 || weeks > MOST_WEEKS) {
            throw new IllegalArgumentException("1 to " + MOST_WEEKS + " weeks");
        }
        days = List.copyOf(days);
        shape = List.copyOf(shape);
        if (shape.size() != weeks) {
            throw new IllegalArgumentException("each of the " + weeks + " weeks has a shape, not " + shape.size());
        }
        for (TrainingDay day : days) {
            for (Slot slot : day.slots()) {
                if (slot.doses().size() != weeks) {
                    throw new IllegalArgumentException("slot " + slot.letter() + " of " + day.name() + " has doses for "
                            + slot.doses().size() + " weeks, not " + weeks);
                }
            }
        }
    }

    /** A block of plain weeks that leads to no contest. */
    public Block(LocalDate start, int weeks, List<TrainingDay> days) {
        this(start, weeks, days, Collections.nCopies(Math.max(0, weeks), BlockWeek.PLAIN), Optional.empty());
    }

    /** The date of a training day, its index and the week counted from 0. */
    public LocalDate date(int day, int week) {
        return start.plusWeeks(week).plusDays(days.get(day).offset());
    }

    /** The last day of the last week. */
    public LocalDate end() {
        return start.plusWeeks(weeks).minusDays(1);
    }

    /** Whether nothing is asked for in a week. */
    public boolean isGap(int week) {
        return days.stream()
                .flatMap(day -> day.slots().stream())
                .noneMatch(slot -> slot.doses().get(week).isPresent());
    }
}
