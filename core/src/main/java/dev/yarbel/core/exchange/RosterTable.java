package dev.yarbel.core.exchange;

import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.lifter.Sport;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Table;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A list of lifters as coaches and clubs keep it: a row for each, under a head. What is blank stays open; what cannot be understood is told and
 * nothing is put in its place.
 */
public final class RosterTable {

    private static final Mass MOST_BODY = Mass.ofKg(350);
    private static final Mass LEAST_BODY = Mass.ofKg(20);

    private static final Pattern NOTHING = Pattern.compile("|[-–—./?]|n/?a|none|kein[er]?", Pattern.CASE_INSENSITIVE);
    /** A year in full, alone or in a day. */
    private static final Pattern YEAR = Pattern.compile("(?:.*\\D)?((?:19|20)\\d{2})(?:\\D.*)?");

    /** Two to five words without a figure, either way round. */
    static final Pattern NAME = Pattern.compile("\\p{L}[\\p{L}.'’-]*,?(?: \\p{L}[\\p{L}.'’-]*){1,4}");
    /** A year that somebody who lifts may be born in, alone or in a day. */
    private static final Pattern BIRTH = Pattern.compile("(?:.*\\D)?(?:19[3-9]\\d|20[01]\\d)(?:\\D.*)?");

    private static final Set<String> FEMALE = Set.of("f", "female", "w", "woman", "women", "girl", "weiblich", "frau");
    private static final Set<String> MALE =
            Set.of("m", "male", "man", "men", "boy", "mannlich", "maennlich", "mann", "herr");

    /** What people call what they lift for. (Common practice, no source.) */
    private static final Map<String, Sport> SPORTS = Map.ofEntries(
            Map.entry("powerlifting", Sport.POWERLIFTING_CLASSIC),
            Map.entry("classic", Sport.POWERLIFTING_CLASSIC),
            Map.entry("raw", Sport.POWERLIFTING_CLASSIC),
            Map.entry("classic powerlifting", Sport.POWERLIFTING_CLASSIC),
            Map.entry("powerlifting classic", Sport.POWERLIFTING_CLASSIC),
            Map.entry("raw powerlifting", Sport.POWERLIFTING_CLASSIC),
            Map.entry("kdk", Sport.POWERLIFTING_CLASSIC),
            Map.entry("kraftdreikampf", Sport.POWERLIFTING_CLASSIC),
            Map.entry("equipped", Sport.POWERLIFTING_EQUIPPED),
            Map.entry("equipped powerlifting", Sport.POWERLIFTING_EQUIPPED),
            Map.entry("powerlifting equipped", Sport.POWERLIFTING_EQUIPPED),
            Map.entry("strongman", Sport.STRONGMAN),
            Map.entry("strongwoman", Sport.STRONGMAN),
            Map.entry("both", Sport.BOTH),
            Map.entry("beides", Sport.BOTH));

    /** What can be said of a lifter. */
    public enum Field {
        FIRST_NAME,
        LAST_NAME,
        NAME,
        UNIT,
        SEX,
        BORN,
        SPORT,
        CLASS,
        HEIGHT,
        BODY,
        GYM,
        DAYS,
        MINUTES,
        JOB;

        private static final Map<String, Field> HEADS = heads();

        private static Map<String, Field> heads() {
            Map<String, Field> heads = new HashMap<>();
            for (String[] row : Table.rows(RosterTable.class, "roster-heads.csv")) {
                Field field = valueOf(row[0].toUpperCase(Locale.ROOT).replace('-', '_'));
                for (String head : row[1].split("\\|")) {
                    heads.put(head, field);
                }
            }
            return heads;
        }

        /** What it is called among what columns may hold. */
        public String code() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        private static Optional<Field> under(String head) {
            String plain = Plain.of(head);
            return Optional.ofNullable(HEADS.get(plain))
                    .or(() -> Optional.ofNullable(
                            HEADS.get(plain.replaceAll("\\b(?:in )?(?:kgs?|lbs?|pounds?|cm|m|inch(?:es)?)\\b", "")
                                    .strip())));
        }
    }

    /**
     * One lifter.
     *
     * @param line of the table, from 1
     * @param unit they think in; empty where nobody said
     * @param body empty where nobody said what they weigh
     * @param said everything else that was said, as it is written in the profile: the year of birth in four figures, a height as it stands in
     *     the table
     * @param unclear what stands in fields that cannot be understood
     */
    public record Line(
            int line,
            String name,
            Optional<MassUnit> unit,
            Optional<Sex> sex,
            Optional<Sport> sport,
            Optional<Mass> body,
            Map<Field, String> said,
            Map<Field, String> unclear) {

        public Line {
            said = Map.copyOf(said);
            unclear = Map.copyOf(unclear);
        }
    }

    /**
     * What a table holds.
     *
     * @param nameless the lines of rows that name nobody
     * @param unread the heads of columns that say nothing known
     */
    public record Read(List<Line> lines, List<Integer> nameless, List<String> unread) {

        public Read {
            lines = List.copyOf(lines);
            nameless = List.copyOf(nameless);
            unread = List.copyOf(unread);
        }
    }

    /** What columns of lists of lifters hold, and how one sees it. */
    private static final HeadWords WORDS = new HeadWords() {

        @Override
        public List<String> codes(List<List<String>> rows, int at) {
            return HeadedTable.once(rows.get(at).stream()
                    .map(head -> Field.under(head).map(Field::code))
                    .toList());
        }

        @Override
        public boolean areEnough(Set<String> codes) {
            return codes.contains(Field.NAME.code()) || codes.contains(Field.LAST_NAME.code());
        }

        @Override
        public Map<String, Predicate<String>> contents(Set<String> known) {
            Map<String, Predicate<String>> contents = new LinkedHashMap<>();
            if (!known.contains(Field.LAST_NAME.code())) {
                contents.put(Field.NAME.code(), text -> NAME.matcher(text).matches());
            }
            contents.put(Field.SEX.code(), text -> sex(text).isPresent());
            contents.put(Field.SPORT.code(), text -> sport(text).isPresent());
            contents.put(Field.UNIT.code(), text -> LoadText.unitIn(text).isPresent());
            contents.put(Field.BORN.code(), text -> BIRTH.matcher(text).matches());
            return contents;
        }
    };

    private final HeadedTable table;
    private final MassUnit unit;
    private final List<Line> lines = new ArrayList<>();
    private final List<Integer> nameless = new ArrayList<>();

    private RosterTable(HeadedTable table, MassUnit unit) {
        this.table = table;
        this.unit = unit;
    }

    /** What the columns of a list of lifters hold, as far as it shows. */
    public static HeadedTable headed(List<List<String>> rows) {
        return HeadedTable.of(rows, WORDS);
    }

    /** The codes of what a column of it may hold. */
    public static List<String> columns() {
        return Arrays.stream(Field.values()).map(Field::code).toList();
    }

    /**
     * Reads a table; empty where no column of it holds names.
     *
     * @param unit of body masses that name none, where the lifter's own is not said either
     */
    public static Optional<Read> read(HeadedTable headed, MassUnit unit) {
        if (!WORDS.areEnough(Set.copyOf(headed.holds()))) {
            return Optional.empty();
        }
        RosterTable table = new RosterTable(headed, unit);
        for (int at = headed.line() + 1; at < headed.rows().size(); at++) {
            table.row(at + 1, headed.rows().get(at));
        }
        return Optional.of(new Read(table.lines, table.nameless, headed.unread()));
    }

    private String cell(List<String> row, Field field) {
        String text = table.cell(row, field.code());
        return NOTHING.matcher(text).matches() ? "" : text;
    }

    private void row(int line, List<String> row) {
        if (row.stream().allMatch(String::isBlank)) {
            return;
        }
        String name = table.has(Field.NAME.code())
                ? turned(cell(row, Field.NAME))
                : (cell(row, Field.FIRST_NAME) + " " + cell(row, Field.LAST_NAME)).strip();
        if (name.isEmpty()) {
            nameless.add(line);
            return;
        }
        Map<Field, String> said = new EnumMap<>(Field.class);
        Map<Field, String> unclear = new EnumMap<>(Field.class);
        Optional<MassUnit> own = one(row, Field.UNIT, unclear, LoadText::unitIn);
        one(row, Field.BORN, unclear, RosterTable::year).ifPresent(year -> said.put(Field.BORN, year));
        for (Field field : List.of(Field.CLASS, Field.HEIGHT, Field.GYM, Field.DAYS, Field.MINUTES, Field.JOB)) {
            Optional.of(cell(row, field)).filter(text -> !text.isEmpty()).ifPresent(text -> said.put(field, text));
        }
        lines.add(new Line(
                line,
                name,
                own,
                one(row, Field.SEX, unclear, RosterTable::sex),
                one(row, Field.SPORT, unclear, RosterTable::sport),
                one(row, Field.BODY, unclear, text -> body(text, own)),
                said,
                unclear));
    }

    /** {@code Halloway, Wren} is {@code Wren Halloway}. */
    private static String turned(String name) {
        String[] parts = name.split(",", -1);
        return parts.length == 2 && !parts[0].isBlank() && !parts[1].isBlank()
                ? parts[1].strip() + " " + parts[0].strip()
                : name;
    }

    /** Reads one cell. */
    private interface Reading<T> {

        Optional<T> read(String text);
    }

    private <T> Optional<T> one(List<String> row, Field field, Map<Field, String> unclear, Reading<T> reading) {
        String text = cell(row, field);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        Optional<T> read = reading.read(text);
        if (read.isEmpty()) {
            unclear.put(field, text);
        }
        return read;
    }

    private static Optional<String> year(String text) {
        Matcher year = YEAR.matcher(text);
        return year.matches() ? Optional.of(year.group(1)) : Optional.empty();
    }

    private static Optional<Sex> sex(String text) {
        String plain = Plain.of(text);
        return FEMALE.contains(plain)
                ? Optional.of(Sex.FEMALE)
                : MALE.contains(plain) ? Optional.of(Sex.MALE) : Optional.empty();
    }

    private static Optional<Sport> sport(String text) {
        return Optional.ofNullable(SPORTS.get(Plain.of(text)));
    }

    private Optional<Mass> body(String text, Optional<MassUnit> own) {
        Optional<MassUnit> column = table.column(Field.BODY.code()).flatMap(table::unit);
        try {
            Mass mass = LoadText.read(text, column.or(() -> own).orElse(unit));
            return mass.isLessThan(LEAST_BODY) || mass.isGreaterThan(MOST_BODY) ? Optional.empty() : Optional.of(mass);
        } catch (Unclear none) {
            return Optional.empty();
        }
    }
}
