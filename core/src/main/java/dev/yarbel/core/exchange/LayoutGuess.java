package dev.yarbel.core.exchange;

import dev.yarbel.core.measure.MassUnit;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Guesses how a table is to be read, from its heads and, where they say nothing, from what stands beneath them. It is a guess: whoever
 * brought the table sees it on the first rows and corrects it.
 */
public final class LayoutGuess {

    /** So many lines are looked at. */
    public static final int LOOKED_AT = 60;

    private static final int HEAD_WITHIN = 15;
    private static final int TWO = 2;
    private static final Pattern WEEK = Pattern.compile("(?:week|wk|w|woche|kw|wo)\\s*(\\d{1,2})");

    private final List<List<String>> rows;
    private final LiftIndex lifts;
    private final DayText.Order usual;

    private LayoutGuess(List<List<String>> rows, LiftIndex lifts, DayText.Order usual) {
        this.rows = rows;
        this.lifts = lifts;
        this.usual = usual;
    }

    /**
     * Guesses from the first rows.
     *
     * @param usual how whoever brought it writes days, where the table does not show it
     * @param unit in which they think
     */
    public static Layout of(List<List<String>> first, LiftIndex lifts, DayText.Order usual, MassUnit unit) {
        return new LayoutGuess(first, lifts, usual).guess(unit);
    }

    private Layout guess(MassUnit unit) {
        int head = head();
        int width = rows.stream().mapToInt(List::size).max().orElse(0);
        List<List<String>> body = rows.subList(Math.min(head + 1, rows.size()), rows.size());
        Set<DayText.Order> orders = EnumSet.noneOf(DayText.Order.class);
        boolean hangs = false;
        for (List<String> row : rows) {
            for (String cell : row) {
                DayText.onlyOrder(cell).ifPresent(orders::add);
                hangs |= DayText.hangsOnOrder(cell);
            }
        }
        DayText.Order order = orders.size() == 1 ? orders.iterator().next() : usual;
        List<Column> columns = new ArrayList<>();
        Set<Holds> taken = EnumSet.noneOf(Holds.class);
        for (int at = 0; at < width; at++) {
            Column column = dayOrWeekday(byHead(head < 0 ? "" : cell(rows.get(head), at), order), body, at);
            columns.add(
                    taken.contains(column.holds()) && column.holds() != Holds.DONE
                            ? column.holding(Holds.NOTHING)
                            : column);
            taken.add(column.holds());
        }
        for (int at = 0; at < width; at++) {
            if (columns.get(at).holds() == Holds.NOTHING) {
                Holds holds = byContents(body, at, order);
                if (holds == Holds.DONE || !taken.contains(holds)) {
                    columns.set(at, columns.get(at).holding(holds));
                    taken.add(holds);
                }
            }
        }
        return new Layout(head + TWO, columns, order, orders.size() == 1 || !hangs, unit, Optional.empty(), List.of());
    }

    /** The line of the heads, from 0: the first in which two cells are known heads, days or weeks; −1 where none is. */
    private int head() {
        for (int line = 0; line < Math.min(HEAD_WITHIN, rows.size()); line++) {
            long heads = rows.get(line).stream()
                    .map(cell -> byHead(cell, usual))
                    .filter(column -> column.holds() != Holds.NOTHING)
                    .count();
            if (heads >= TWO) {
                return line;
            }
        }
        return -1;
    }

    private static Column byHead(String head, DayText.Order order) {
        Optional<Integer> week = week(head);
        Optional<LocalDate> day = DayText.read(head, order);
        if (week.isPresent() || day.isPresent()) {
            return new Column(head, Holds.DONE, Optional.empty(), day, week);
        }
        return Holds.under(head)
                .map(holds -> new Column(head, holds, Holds.unit(head), Optional.empty(), Optional.empty()))
                .orElseGet(() -> Column.unknown(head));
    }

    private static Optional<Integer> week(String head) {
        Matcher week = WEEK.matcher(Plain.of(head));
        return week.matches()
                ? Optional.of(Integer.valueOf(week.group(1))).filter(number -> number > 0)
                : Optional.empty();
    }

    /** A head such as {@code Day} or {@code Session} may stand above dates, or above days of the week. */
    private static Column dayOrWeekday(Column column, List<List<String>> body, int at) {
        if (column.holds() != Holds.DAY && column.holds() != Holds.WEEKDAY) {
            return column;
        }
        List<String> cells = filled(body, at);
        if (column.holds() == Holds.DAY) {
            boolean ofWeek = most(cells, cell -> DayText.weekday(cell).isPresent() || cell.matches("\\D{0,12}\\d"));
            return ofWeek ? column.holding(Holds.WEEKDAY) : column;
        }
        boolean days = most(
                cells,
                cell -> DayText.read(cell, DayText.Order.DAY_FIRST).isPresent()
                        || DayText.read(cell, DayText.Order.MONTH_FIRST).isPresent());
        return days ? column.holding(Holds.DAY) : column;
    }

    private static List<String> filled(List<List<String>> body, int at) {
        return body.stream()
                .map(row -> cell(row, at))
                .filter(cell -> !cell.isBlank())
                .toList();
    }

    /** What most of a column can be read as. */
    private Holds byContents(List<List<String>> body, int at, DayText.Order order) {
        List<String> cells = filled(body, at);
        if (most(
                cells,
                cell -> !cell.matches("\\d+") && DayText.read(cell, order).isPresent())) {
            return Holds.DAY;
        }
        if (most(cells, cell -> DayText.weekday(cell).isPresent())) {
            return Holds.WEEKDAY;
        }
        if (most(cells, cell -> lifts.find(cell).isPresent())) {
            return Holds.LIFT;
        }
        return most(cells, LayoutGuess::isDone) ? Holds.DONE : Holds.NOTHING;
    }

    private static boolean isDone(String cell) {
        try {
            return DoneText.read(cell, MassUnit.KG).stream()
                    .anyMatch(sets -> sets.load().isPresent());
        } catch (Unclear otherwise) {
            return false;
        }
    }

    private static boolean most(List<String> cells, Predicate<String> is) {
        return !cells.isEmpty() && TWO * cells.stream().filter(is).count() > cells.size();
    }

    private static String cell(List<String> row, int at) {
        return at < row.size() ? row.get(at) : "";
    }
}
