package dev.yarbel.core.exchange;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Table;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * A list of what a gym owns: plates by mass and number, bars, and what is picked up whole. Where several stand one under the other, what they are may stand in
 * the first row only.
 */
public final class KitTable {

    private static final int HEAD_WITHIN = 15;
    private static final Pattern HAS_UNIT = Pattern.compile(".*\\p{L}.*");
    private static final Map<String, Optional<Implement>> KINDS = kinds();

    private enum Column {
        KIND,
        NAME,
        MASS,
        COUNT,
        UNIT;

        private static final Map<String, Column> HEADS = heads();

        private static Map<String, Column> heads() {
            Map<String, Column> heads = new HashMap<>();
            for (String[] row : Table.rows(KitTable.class, "kit-heads.csv")) {
                for (String head : row[1].split("\\|")) {
                    heads.put(head, valueOf(row[0].toUpperCase(Locale.ROOT)));
                }
            }
            return heads;
        }

        private static Optional<Column> under(String head) {
            String plain = Plain.of(head);
            Optional<MassUnit> unit = Holds.unit(head);
            String bare = plain.replaceAll("\\b(?:in )?(?:kgs?|kilos?|kilograms?|lbs?|pounds?)\\b", "")
                    .strip();
            return Optional.ofNullable(HEADS.get(plain))
                    .or(() -> Optional.ofNullable(HEADS.get(bare)))
                    .or(() -> bare.isEmpty() && unit.isPresent() ? Optional.of(MASS) : Optional.empty());
        }
    }

    private static Map<String, Optional<Implement>> kinds() {
        Map<String, Optional<Implement>> kinds = new HashMap<>();
        for (String[] row : Table.rows(KitTable.class, "kit-kinds.csv")) {
            Optional<Implement> implement = row[0].equals("plate")
                    ? Optional.empty()
                    : Optional.of(
                            Implement.valueOf(row[0].toUpperCase(Locale.ROOT).replace('-', '_')));
            for (String name : row[1].split("\\|")) {
                kinds.put(Plain.singular(name), implement);
            }
        }
        return Map.copyOf(kinds);
    }

    /**
     * One row.
     *
     * @param line of the table, from 1
     * @param what it is, as it is written, or stands above
     * @param implement that it is; empty for a plate
     * @param known whether that is known at all
     * @param name its own; may be empty
     * @param mass as it is written, with the unit that its row or column names
     * @param count as it is written; may be empty
     */
    public record Line(
            int line,
            String what,
            Optional<Implement> implement,
            boolean known,
            String name,
            String mass,
            String count) {}

    /** What a table holds. */
    public record Read(List<Line> lines, List<String> unread) {

        public Read {
            lines = List.copyOf(lines);
            unread = List.copyOf(unread);
        }
    }

    private final Map<Column, Integer> columns = new EnumMap<>(Column.class);
    private final List<Line> lines = new ArrayList<>();
    private final List<String> unread = new ArrayList<>();
    private Optional<MassUnit> unit = Optional.empty();
    private String above = "";

    private KitTable() {}

    /** Reads a table; empty where no row of its first is a head with what things are and what they weigh. */
    public static Optional<Read> read(List<List<String>> rows) {
        for (int head = 0; head < Math.min(rows.size(), HEAD_WITHIN); head++) {
            KitTable table = new KitTable();
            if (table.heads(rows.get(head))) {
                for (int at = head + 1; at < rows.size(); at++) {
                    table.row(at + 1, rows.get(at));
                }
                return Optional.of(new Read(table.lines, table.unread));
            }
        }
        return Optional.empty();
    }

    private boolean heads(List<String> heads) {
        for (int at = 0; at < heads.size(); at++) {
            String head = heads.get(at).strip();
            Optional<Column> column = Column.under(head).filter(known -> !columns.containsKey(known));
            if (column.isPresent()) {
                columns.put(column.get(), at);
                unit = column.get() == Column.MASS ? Holds.unit(head) : unit;
            } else if (!head.isEmpty()) {
                unread.add(head);
            }
        }
        // where nothing else says what things are, their names do
        if (!columns.containsKey(Column.KIND) && columns.containsKey(Column.NAME)) {
            columns.put(Column.KIND, columns.remove(Column.NAME));
        }
        return columns.containsKey(Column.KIND) && columns.containsKey(Column.MASS);
    }

    private String cell(List<String> row, Column column) {
        Integer at = columns.get(column);
        return at == null || at >= row.size() ? "" : row.get(at).strip().replaceAll("\\s+", " ");
    }

    private void row(int line, List<String> row) {
        if (row.stream().allMatch(String::isBlank)) {
            return;
        }
        String written = cell(row, Column.KIND);
        above = written.isEmpty() ? above : written;
        Optional<Implement> implement = KINDS.getOrDefault(Plain.singular(above), Optional.empty());
        lines.add(new Line(
                line,
                above,
                implement,
                KINDS.containsKey(Plain.singular(above)),
                cell(row, Column.NAME),
                mass(row),
                cell(row, Column.COUNT)));
    }

    private String mass(List<String> row) {
        String mass = cell(row, Column.MASS);
        if (mass.isEmpty() || HAS_UNIT.matcher(mass).matches()) {
            return mass;
        }
        return LoadText.unitIn(cell(row, Column.UNIT))
                .or(() -> unit)
                .map(of -> mass + " " + of.symbol())
                .orElse(mass);
    }
}
