package dev.yarbel.core.exchange;

import dev.yarbel.core.measure.MassUnit;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How a table of a log is to be read: in its long form a row is a set, or some alike; in its wide form a column is a day or a week, and what
 * was done stands in its cells.
 *
 * @param firstLine the first line that is no head, from 1
 * @param order of the figures of a day
 * @param orderSure whether the table itself shows that order, or has no day that hangs on it
 * @param unit of loads that have none
 * @param firstWeek a day of the week that the table counts as the first; empty while nobody said
 * @param trained on which days of a week the first, second and further training day were; none while nobody said
 */
public record Layout(
        int firstLine,
        List<Column> columns,
        DayText.Order order,
        boolean orderSure,
        MassUnit unit,
        Optional<LocalDate> firstWeek,
        List<DayOfWeek> trained) {

    public Layout {
        columns = List.copyOf(columns);
        trained = List.copyOf(trained);
    }

    public boolean has(Holds holds) {
        return columns.stream().anyMatch(column -> column.holds() == holds);
    }

    /** Whether columns are weeks without a day, so that somebody has to say when the first one was. */
    public boolean asksForWeeks() {
        return columns.stream()
                .anyMatch(column -> column.holds() == Holds.DONE
                        && column.week().isPresent()
                        && column.day().isEmpty());
    }

    /** Whether some loads have neither a unit in their head nor a column of units. */
    public boolean leavesUnitOpen() {
        return !has(Holds.UNIT)
                && columns.stream()
                        .anyMatch(column -> (column.holds() == Holds.LOAD || column.holds() == Holds.DONE)
                                && column.unit().isEmpty());
    }

    /** Whether sets can come of it at all: a lift, and what was done of it. */
    public boolean isComplete() {
        return has(Holds.LIFT) && (has(Holds.DONE) || has(Holds.REPS));
    }

    /** The same with other things in its columns; those that are not named hold nothing. */
    public Layout holding(List<Holds> held) {
        List<Column> changed = new ArrayList<>();
        for (int at = 0; at < columns.size(); at++) {
            changed.add(columns.get(at).holding(at < held.size() ? held.get(at) : Holds.NOTHING));
        }
        return new Layout(firstLine, changed, order, orderSure, unit, firstWeek, trained);
    }

    /** The same, its days in another order, which somebody said. */
    public Layout in(DayText.Order said) {
        return new Layout(firstLine, columns, said, true, unit, firstWeek, trained);
    }

    /** The same, its loads in a unit where they have none. */
    public Layout in(MassUnit said) {
        return new Layout(firstLine, columns, order, orderSure, said, firstWeek, trained);
    }

    /** The same, its weeks counted from a day, and trained on these days. */
    public Layout from(Optional<LocalDate> first, List<DayOfWeek> days) {
        return new Layout(firstLine, columns, order, orderSure, unit, first, days);
    }

    /** What tells this shape from others: the heads of its columns. */
    public String shape() {
        List<String> heads = columns.stream()
                .map(column ->
                        column.day().isPresent() ? "day" : column.week().isPresent() ? "week" : Plain.of(column.head()))
                .distinct()
                .toList();
        return String.join("|", heads);
    }
}
