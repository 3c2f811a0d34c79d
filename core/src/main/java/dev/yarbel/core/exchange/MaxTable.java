package dev.yarbel.core.exchange;

import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A table of maxes and body masses, as coaches keep them: a row for each lifter and a column for each lift, or a row for each max.
 * Nothing is made up: a max without a day is refused where nobody said the day.
 */
public final class MaxTable {

    private static final LocalDate EARLIEST = LocalDate.of(1950, 1, 1);
    private static final Mass MOST_BODY = Mass.ofKg(350);
    private static final Mass LEAST_BODY = Mass.ofKg(20);
    /** What people write at the head of a column of body masses. (Common practice, no source.) */
    private static final Set<String> BODY = Set.of(
            "body mass",
            "bodymass",
            "body weight",
            "bodyweight",
            "bw",
            "weight",
            "korpergewicht",
            "koerpergewicht",
            "korpermasse",
            "gewicht");
    /** Words beside the name of a lift that say it is a max. (Common practice, no source.) */
    private static final Set<String> OF_MAXES =
            Set.of("max", "maximum", "1rm", "rm", "best", "pb", "pr", "in", "kg", "kgs", "lb", "lbs", "bestleistung");

    private static final Pattern NOTHING = Pattern.compile("|[-–—./]|n/?a|x|none|kein[er]?", Pattern.CASE_INSENSITIVE);
    /** So much for so many: {@code 140x3}. */
    private static final Pattern WITH_REPS = Pattern.compile("(.+?)\\s*[x×*]\\s*(\\d{1,2})");

    /**
     * What whoever brought the table says of it.
     *
     * @param unit of loads that name none
     * @param day of maxes that have none; empty where nobody said it
     * @param order of the figures of days
     * @param today after which no max was lifted
     */
    public record Said(MassUnit unit, Optional<LocalDate> day, DayText.Order order, LocalDate today) {}

    /**
     * A max, or a body mass where it is of no lift.
     *
     * @param line of the table, from 1
     * @param column from 0
     * @param lifter as the table names them
     * @param unit it is written in
     * @param reps 1, or of a rep max 2 to 20
     */
    public record Line(
            int line,
            int column,
            String lifter,
            Optional<Lift> lift,
            Mass mass,
            MassUnit unit,
            int reps,
            LocalDate day) {}

    /**
     * What a table holds.
     *
     * @param unread the heads of columns that say nothing known
     */
    public record Read(List<Line> lines, List<Trouble> troubles, List<String> unread) {

        public Read {
            lines = List.copyOf(lines);
            troubles = List.copyOf(troubles);
            unread = List.copyOf(unread);
        }
    }

    private static final String LIFTER = code(Holds.LIFTER);
    private static final String DAY = code(Holds.DAY);
    private static final String LIFT = code(Holds.LIFT);
    private static final String LOAD = code(Holds.LOAD);
    private static final String UNIT = code(Holds.UNIT);
    private static final String REPS = code(Holds.REPS);
    private static final String BODY_MASS = "body";
    /** Before the key of the lift whose maxes a column holds. */
    private static final String MAX_OF = "max:";

    private static final List<String> PLAIN = List.of(LIFTER, DAY, LIFT, LOAD, UNIT, REPS);

    private static String code(Holds holds) {
        return holds.name().toLowerCase(Locale.ROOT);
    }

    /** What columns of tables of maxes hold, and how one sees it. */
    private record Words(LiftIndex lifts) implements HeadWords {

        @Override
        public List<String> codes(List<List<String>> rows, int at) {
            List<String> heads = rows.get(at);
            boolean each = heads.stream().map(Holds::under).anyMatch(Optional.of(Holds.LIFT)::equals);
            List<String> codes = new ArrayList<>();
            for (String head : heads) {
                Optional<String> mass = each
                        ? Optional.empty()
                        : maxOf(lifts, head).map(lift -> MAX_OF + lift.key()).or(() -> Optional.of(BODY_MASS)
                                .filter(code -> isBody(head)));
                codes.add(mass.or(() -> Holds.under(head)
                                .map(MaxTable::code)
                                .filter(PLAIN::contains)
                                .filter(code -> !codes.contains(code)))
                        .orElse(HeadedTable.NOTHING));
            }
            return codes;
        }

        @Override
        public boolean areEnough(Set<String> codes) {
            return codes.contains(LIFTER)
                    && (codes.contains(LIFT) && codes.contains(LOAD)
                            || codes.stream().anyMatch(MaxTable::isMass));
        }

        @Override
        public Map<String, Predicate<String>> contents(Set<String> known) {
            Map<String, Predicate<String>> contents = new LinkedHashMap<>();
            contents.put(LIFT, text -> maxOf(lifts, text).isPresent());
            contents.put(
                    DAY,
                    text -> !text.matches("\\d+")
                            && DayText.read(text, DayText.Order.DAY_FIRST)
                                    .or(() -> DayText.read(text, DayText.Order.MONTH_FIRST))
                                    .isPresent());
            contents.put(LIFTER, text -> RosterTable.NAME.matcher(text).matches());
            if (known.contains(LIFT)) {
                contents.put(LOAD, text -> KitTable.MASS.matcher(text).matches());
            }
            return contents;
        }
    }

    private static boolean isMass(String code) {
        return code.equals(BODY_MASS) || code.startsWith(MAX_OF);
    }

    private final HeadedTable table;
    private final LiftIndex lifts;
    private final Said said;
    private final Map<Integer, Optional<Lift>> masses = new TreeMap<>();
    private final List<Line> lines = new ArrayList<>();
    private final List<Trouble> troubles = new ArrayList<>();

    private MaxTable(HeadedTable table, LiftIndex lifts, Said said) {
        this.table = table;
        this.lifts = lifts;
        this.said = said;
        for (int at = 0; at < table.holds().size(); at++) {
            String code = table.holds().get(at);
            if (isMass(code)) {
                masses.put(
                        at,
                        code.equals(BODY_MASS)
                                ? Optional.empty()
                                : Optional.of(new Lift(code.substring(MAX_OF.length()))));
            }
        }
    }

    /** What the columns of a table of maxes hold, as far as it shows. */
    public static HeadedTable headed(List<List<String>> rows, LiftIndex lifts) {
        return HeadedTable.of(rows, new Words(lifts));
    }

    /** The codes of what a column of it may hold beside the maxes of a lift. */
    public static List<String> columns() {
        List<String> columns = new ArrayList<>(PLAIN);
        columns.add(BODY_MASS);
        return columns;
    }

    /** The code of a column that holds the maxes of one lift. */
    public static String columnOf(Lift lift) {
        return MAX_OF + lift.key();
    }

    /** Reads a table; empty where its columns hold no lifters, or nothing that they lifted. */
    public static Optional<Read> read(HeadedTable headed, LiftIndex lifts, Said said) {
        if (!new Words(lifts).areEnough(Set.copyOf(headed.holds()))) {
            return Optional.empty();
        }
        MaxTable table = new MaxTable(headed, lifts, said);
        table.rows();
        return Optional.of(new Read(table.lines, table.troubles, headed.unread()));
    }

    private static Optional<Lift> maxOf(LiftIndex lifts, String head) {
        String name = Arrays.stream(Plain.of(head).split(" "))
                .filter(word -> !OF_MAXES.contains(word))
                .collect(Collectors.joining(" "));
        return lifts.find(name).filter(LiftIndex.Match::sure).map(LiftIndex.Match::lift);
    }

    private static boolean isBody(String head) {
        String plain = Plain.of(head);
        return BODY.contains(plain)
                || BODY.contains(Arrays.stream(plain.split(" "))
                        .filter(word -> !OF_MAXES.contains(word))
                        .collect(Collectors.joining(" ")));
    }

    private void rows() {
        String lifter = "";
        for (int at = table.line() + 1; at < table.rows().size(); at++) {
            List<String> row = table.rows().get(at);
            if (row.stream().allMatch(String::isBlank)) {
                continue;
            }
            String named = table.cell(row, LIFTER);
            // of a row for each max the lifter may stand in the first only, as where cells are merged
            lifter = named.isEmpty() && masses.isEmpty() ? lifter : named;
            row(at + 1, row, lifter);
        }
    }

    private void row(int line, List<String> row, String lifter) {
        if (lifter.isEmpty()) {
            troubles.add(new Trouble(line, table.column(LIFTER).orElseThrow(), Trouble.Kind.NO_LIFTER, ""));
            return;
        }
        if (table.has(LIFT) && table.has(LOAD)) {
            one(line, row, lifter);
        }
        masses.forEach((at, lift) -> {
            String text = at < row.size() ? row.get(at).strip() : "";
            if (!NOTHING.matcher(text).matches()) {
                keep(line, at, row, lifter, lift, text);
            }
        });
    }

    private void one(int line, List<String> row, String lifter) {
        int load = table.column(LOAD).orElseThrow();
        String text = table.cell(row, LOAD);
        String named = table.cell(row, LIFT);
        if (named.isEmpty() && text.isEmpty()) {
            return;
        }
        if (NOTHING.matcher(text).matches()) {
            troubles.add(new Trouble(line, load, Trouble.Kind.NO_LOAD, text));
            return;
        }
        if (isBody(named)) {
            keep(line, load, row, lifter, Optional.empty(), text);
            return;
        }
        Optional<Lift> lift = maxOf(lifts, named);
        if (lift.isEmpty()) {
            troubles.add(new Trouble(
                    line,
                    table.column(LIFT).orElseThrow(),
                    named.isEmpty() ? Trouble.Kind.NO_LIFT : Trouble.Kind.UNKNOWN_LIFT,
                    named));
            return;
        }
        keep(line, load, row, lifter, lift, text);
    }

    private void keep(int line, int at, List<String> row, String lifter, Optional<Lift> lift, String text) {
        Matcher with = WITH_REPS.matcher(text);
        boolean own = with.matches();
        String load = own ? with.group(1) : text;
        MassUnit unit = unit(row, at, load);
        Optional<Mass> mass = clear(line, at, text, () -> mass(load, unit, lift));
        Optional<Integer> reps = lift.isEmpty()
                ? Optional.of(1)
                : own
                        ? clear(line, at, text, () -> reps(with.group(2)))
                        : clear(
                                line,
                                table.column(REPS).orElse(at),
                                table.cell(row, REPS),
                                () -> reps(table.cell(row, REPS)));
        String written = table.cell(row, DAY);
        // where no day stands, what hangs on it says which line is meant
        Optional<LocalDate> day = written.isEmpty()
                ? clear(line, at, text, () -> said.day().orElseThrow(() -> new Unclear(Trouble.Kind.NO_DAY)))
                : clear(line, table.column(DAY).orElseThrow(), written, () -> day(written));
        if (mass.isPresent() && reps.isPresent() && day.isPresent()) {
            lines.add(new Line(line, at, lifter, lift, mass.get(), unit, reps.get(), day.get()));
        }
    }

    /** Reads a cell. */
    private interface Reading<T> {

        T read() throws Unclear;
    }

    /** What a cell says; empty, and the trouble with that cell told, where it says nothing. */
    private <T> Optional<T> clear(int line, int column, String text, Reading<T> reading) {
        try {
            return Optional.of(reading.read());
        } catch (Unclear unclear) {
            troubles.add(new Trouble(line, column, unclear.kind(), text));
            return Optional.empty();
        }
    }

    private static Mass mass(String load, MassUnit unit, Optional<Lift> lift) throws Unclear {
        Mass mass = LoadText.read(load, unit);
        if (lift.isPresent() && !mass.isPositive()) {
            throw new Unclear(Trouble.Kind.LOAD_OUT_OF_RANGE);
        }
        if (lift.isEmpty() && (mass.isLessThan(LEAST_BODY) || mass.isGreaterThan(MOST_BODY))) {
            throw new Unclear(Trouble.Kind.BODY_OUT_OF_RANGE);
        }
        return mass;
    }

    /** The unit that a load is written in: its own, its row's, its column's, else the one that was said. */
    private MassUnit unit(List<String> row, int at, String load) {
        Matcher own = Pattern.compile(".*\\d\\s*(" + LoadText.UNIT + ")\\.?").matcher(load.toLowerCase(Locale.ROOT));
        if (own.matches()) {
            return LoadText.unit(own.group(1));
        }
        return LoadText.unitIn(table.cell(row, UNIT)).or(() -> table.unit(at)).orElse(said.unit());
    }

    private static int reps(String text) throws Unclear {
        if (text.isEmpty()) {
            return 1;
        }
        if (!text.matches("\\d{1,3}([.,]0)?")) {
            throw new Unclear(Trouble.Kind.UNREADABLE_REPS);
        }
        int reps = Integer.parseInt(text.replaceAll("[.,]0$", ""));
        if (reps < 1 || reps > RecordedMax.MOST_REPS) {
            throw new Unclear(Trouble.Kind.REPS_OUT_OF_RANGE);
        }
        return reps;
    }

    private LocalDate day(String text) throws Unclear {
        if (DayText.lacksYear(text)) {
            throw new Unclear(Trouble.Kind.DAY_WITHOUT_YEAR);
        }
        LocalDate day = DayText.read(text, said.order()).orElseThrow(() -> new Unclear(Trouble.Kind.UNREADABLE_DAY));
        if (day.isAfter(said.today())) {
            throw new Unclear(Trouble.Kind.DAY_TO_COME);
        }
        if (day.isBefore(EARLIEST)) {
            throw new Unclear(Trouble.Kind.DAY_TOO_EARLY);
        }
        return day;
    }
}
