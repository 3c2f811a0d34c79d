package dev.yarbel.core.exchange;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Table;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * A list of what a gym owns: plates by mass and number, bars, and what is picked up whole. Where several stand one under the other, what they are may stand in
 * the first row only.
 */
public final class KitTable {

    static final Pattern MASS = Pattern.compile("\\d+(?:[.,]\\d+)?\\s*(?:" + LoadText.UNIT + ")?\\.?");
    private static final Pattern COUNT = Pattern.compile("\\d{1,3}(?:\\s*\\p{L}+)?");
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

        private String code() {
            return name().toLowerCase(Locale.ROOT);
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

    /** What columns of lists of kit hold, and how one sees it. */
    private static final HeadWords WORDS = new HeadWords() {

        @Override
        public List<String> codes(List<List<String>> rows, int at) {
            List<String> codes = HeadedTable.once(rows.get(at).stream()
                    .map(head -> Column.under(head).map(Column::code))
                    .toList());
            // where nothing else says what things are, their names do
            return codes.contains(Column.KIND.code())
                    ? codes
                    : codes.stream()
                            .map(code -> code.equals(Column.NAME.code()) ? Column.KIND.code() : code)
                            .toList();
        }

        @Override
        public boolean areEnough(Set<String> codes) {
            return codes.contains(Column.KIND.code()) && codes.contains(Column.MASS.code());
        }

        @Override
        public Map<String, Predicate<String>> contents(Set<String> known) {
            Map<String, Predicate<String>> contents = new LinkedHashMap<>();
            contents.put(Column.KIND.code(), text -> KINDS.containsKey(Plain.singular(text)));
            contents.put(Column.UNIT.code(), text -> LoadText.unitIn(text).isPresent());
            contents.put(Column.MASS.code(), text -> MASS.matcher(text).matches());
            contents.put(Column.COUNT.code(), text -> COUNT.matcher(text).matches());
            return contents;
        }
    };

    private final HeadedTable table;
    private final List<Line> lines = new ArrayList<>();
    private String above = "";

    private KitTable(HeadedTable table) {
        this.table = table;
    }

    /** What the columns of a list of kit hold, as far as it shows. */
    public static HeadedTable headed(List<List<String>> rows) {
        return HeadedTable.of(rows, WORDS);
    }

    /** The codes of what a column of it may hold. */
    public static List<String> columns() {
        return Arrays.stream(Column.values()).map(Column::code).toList();
    }

    /** Reads a table; empty where no columns of it hold what things are and what they weigh. */
    public static Optional<Read> read(HeadedTable headed) {
        if (!WORDS.areEnough(Set.copyOf(headed.holds()))) {
            return Optional.empty();
        }
        KitTable table = new KitTable(headed);
        for (int at = headed.line() + 1; at < headed.rows().size(); at++) {
            table.row(at + 1, headed.rows().get(at));
        }
        return Optional.of(new Read(table.lines, headed.unread()));
    }

    private String cell(List<String> row, Column column) {
        return table.cell(row, column.code());
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
                .or(() -> table.column(Column.MASS.code()).flatMap(table::unit))
                .map(of -> mass + " " + of.symbol())
                .orElse(mass);
    }
}
