package dev.yarbel.core.exchange;

import dev.yarbel.core.lift.Lift;
import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A block as coaches write it into a spreadsheet: an exercise a row, weeks across, what is to be done in the cells; days one under the other, named in
 * a column of their own or in a row that holds nothing else, each with a head of its own or all under one. What a cell asks for is not read here: it is a dose, and has its own language.
 */
public final class PlanTable {

    private static final int MOST_DAYS = 14;
    private static final int MOST_SLOTS = 26;

    /** What stands between the parts of a dose. */
    private static final String THEN = " then ";

    private static final Pattern LETTER = Pattern.compile("([A-Za-z])\\s*([1-9])?[.):]?");
    private static final Pattern OFF = Pattern.compile("|[-–—./]|x|off|rest|pause|frei|n/?a", Pattern.CASE_INSENSITIVE);
    private static final Map<String, DayOfWeek> WEEKDAYS = weekdays();

    private static Map<String, DayOfWeek> weekdays() {
        Map<String, DayOfWeek> names = new HashMap<>();
        for (DayOfWeek day : DayOfWeek.values()) {
            for (Locale language : List.of(Locale.ENGLISH, Locale.GERMAN)) {
                for (TextStyle style : List.of(TextStyle.FULL, TextStyle.SHORT)) {
                    names.put(Plain.of(day.getDisplayName(style, language)), day);
                }
            }
        }
        return Map.copyOf(names);
    }

    /**
     * One exercise of a day.
     *
     * @param line of the table, from 1
     * @param column of its name, from 0
     * @param letter A to Z, with a figure where lines alternate; empty where the table has none
     * @param name as it is written
     * @param lift that it is; empty where nobody knows
     * @param perhaps the lift that may be meant, where it is not known
     * @param doses a text a week; empty for a week that leaves it out
     */
    public record Row(
            int line,
            int column,
            Optional<String> letter,
            String name,
            Optional<Lift> lift,
            Optional<Lift> perhaps,
            List<Cell> doses) {

        public Row {
            doses = List.copyOf(doses);
        }
    }

    /**
     * What is asked for in a week.
     *
     * @param column from 0; that of the name where the week has none
     */
    public record Cell(int column, String text) {}

    /**
     * A training day.
     *
     * @param weekday empty where its name says none
     */
    public record Day(String name, Optional<DayOfWeek> weekday, List<Row> rows) {

        public Day {
            rows = List.copyOf(rows);
        }
    }

    /**
     * What a table holds.
     *
     * @param homeless the lines of exercises for which there was no place: beyond fourteen days, or 26 exercises a day
     */
    public record Read(int weeks, List<Day> days, List<Integer> homeless, List<String> unread) {

        public Read {
            days = List.copyOf(days);
            homeless = List.copyOf(homeless);
            unread = List.copyOf(unread);
        }
    }

    private final LiftIndex lifts;
    private final List<Day> days = new ArrayList<>();
    private final List<Integer> homeless = new ArrayList<>();
    private final int weeks;
    private PlanHead head;
    private Optional<DayOfWeek> dated = Optional.empty();
    private String dayName = "";
    private List<Row> rows = new ArrayList<>();

    private PlanTable(LiftIndex lifts, int weeks) {
        this.lifts = lifts;
        this.weeks = weeks;
    }

    /** What the columns of a block hold, as far as it shows. */
    public static HeadedTable headed(List<List<String>> rows, LiftIndex lifts) {
        return HeadedTable.of(rows, new PlanHead.Words(lifts));
    }

    /** The codes of what a column of it may hold beside a week. */
    public static List<String> columns() {
        return List.of(PlanHead.LIFT, PlanHead.DAY, PlanHead.LETTER, PlanHead.DOSE);
    }

    /** The code of a column that holds what is asked for in a week, from 1. */
    public static String columnOf(int week) {
        return PlanHead.WEEK_NUMBER + week;
    }

    /** Reads a table; empty where no columns of it hold exercises and weeks. A later head begins another part of it. */
    public static Optional<Read> read(HeadedTable headed, LiftIndex lifts) {
        List<List<String>> table = headed.rows();
        Map<Integer, PlanHead> heads = heads(headed, new PlanHead.Words(lifts));
        if (heads.isEmpty()) {
            return Optional.empty();
        }
        PlanTable plan = new PlanTable(
                lifts,
                heads.values().stream().mapToInt(PlanHead::mostWeeks).max().orElseThrow());
        int first = heads.keySet().iterator().next();
        // what stood above the head may name its first day
        plan.dayName = first > 0 ? alone(table.get(first - 1)).orElse("") : "";
        for (int at = first; at < table.size(); at++) {
            PlanHead begins = heads.get(at);
            if (begins != null) {
                plan.begin(begins);
                at = begins.last();
            } else {
                plan.row(at + 1, table.get(at));
            }
        }
        plan.endDay();
        return plan.days.isEmpty()
                ? Optional.empty()
                : Optional.of(new Read(plan.weeks, plan.days, plan.homeless, List.copyOf(unread(headed, heads))));
    }

    /** The heads of a table by their first rows: that which it is read by, and those beneath, alike or of their own. */
    private static Map<Integer, PlanHead> heads(HeadedTable headed, HeadWords words) {
        List<List<String>> table = headed.rows();
        Map<Integer, PlanHead> heads = new TreeMap<>();
        PlanHead.endingAt(table, headed.line(), headed.holds()).ifPresent(head -> heads.put(head.first(), head));
        for (int at = headed.line() + 1; !heads.isEmpty() && at < table.size(); at++) {
            List<String> codes = headed.isHeadAgain(at) ? headed.holds() : words.codes(table, at);
            PlanHead.endingAt(table, at, codes).ifPresent(head -> heads.put(head.first(), head));
        }
        return heads;
    }

    /** Heads that say nothing known, of heads of one row: of two the lower has words of each week. */
    private static Set<String> unread(HeadedTable headed, Map<Integer, PlanHead> heads) {
        return heads.values().iterator().next().first() == headed.line()
                ? new LinkedHashSet<>(headed.unread())
                : Set.of();
    }

    private void begin(PlanHead begins) {
        if (head != null) {
            endDay();
        }
        head = begins;
        dated = begins.weekday();
    }

    private static String cell(List<String> row, int at) {
        return at < 0 || at >= row.size() ? "" : row.get(at).strip().replaceAll("\\s+", " ");
    }

    /** The one text of a row that has no other. */
    private static Optional<String> alone(List<String> row) {
        List<String> said =
                row.stream().map(String::strip).filter(text -> !text.isEmpty()).toList();
        return said.size() == 1 ? Optional.of(said.get(0)) : Optional.empty();
    }

    private void row(int line, List<String> row) {
        String name = cell(row, head.lift());
        String called = cell(row, head.day());
        Optional<String> alone = alone(row);
        boolean asks = head.weeks().keySet().stream()
                .anyMatch(at -> !OFF.matcher(cell(row, at)).matches());
        if (alone.isPresent()
                && !asks
                && (called.isEmpty() || name.isEmpty())
                && find(alone.get()).isEmpty()) {
            beginDay(alone.get());
            return;
        }
        if (!called.isEmpty() && !called.equals(dayName)) {
            beginDay(called);
        }
        if (name.isEmpty() && !asks) {
            return;
        }
        if (days.size() >= MOST_DAYS || rows.size() >= MOST_SLOTS) {
            homeless.add(line);
            return;
        }
        List<Cell> doses = new ArrayList<>(Collections.nCopies(weeks, new Cell(head.lift(), "")));
        head.weeks().forEach((at, week) -> {
            String text = cell(row, at);
            doses.set(week - 1, new Cell(at, OFF.matcher(text).matches() ? "" : text));
        });
        Optional<String> letter = letter(cell(row, head.letter()));
        if (goesOn(letter, name, doses)) {
            return;
        }
        Optional<LiftIndex.Match> match = find(name);
        rows.add(new Row(
                line,
                head.lift(),
                letter,
                name,
                match.filter(LiftIndex.Match::sure).map(LiftIndex.Match::lift),
                match.filter(found -> !found.sure()).map(LiftIndex.Match::lift),
                doses));
    }

    /** A row under the letter and the exercise of the one before goes on with it: a top set, and beneath it what follows. */
    private boolean goesOn(Optional<String> letter, String name, List<Cell> doses) {
        if (letter.isEmpty() || rows.isEmpty()) {
            return false;
        }
        Row before = rows.get(rows.size() - 1);
        if (!before.letter().equals(letter) || !before.name().equals(name)) {
            return false;
        }
        List<Cell> both = new ArrayList<>();
        for (int week = 0; week < weeks; week++) {
            Cell one = before.doses().get(week);
            Cell other = doses.get(week);
            both.add(
                    one.text().isEmpty()
                            ? other
                            : other.text().isEmpty() ? one : new Cell(one.column(), one.text() + THEN + other.text()));
        }
        rows.set(
                rows.size() - 1,
                new Row(before.line(), before.column(), letter, name, before.lift(), before.perhaps(), both));
        return true;
    }

    private Optional<LiftIndex.Match> find(String name) {
        return lifts.find(name);
    }

    private static Optional<String> letter(String text) {
        Matcher written = LETTER.matcher(text);
        return written.matches()
                ? Optional.of(written.group(1).toUpperCase(Locale.ROOT)
                        + Optional.ofNullable(written.group(2)).orElse(""))
                : Optional.empty();
    }

    private void beginDay(String name) {
        endDay();
        dayName = name;
    }

    private void endDay() {
        if (!rows.isEmpty()) {
            days.add(new Day(dayName, weekday(dayName).or(() -> dated), rows));
            // dates over a head are of the first day under it
            dated = Optional.empty();
        }
        rows = new ArrayList<>();
    }

    /** The day of the week that a name begins with: {@code Monday}, {@code Mo – Squat}. */
    private static Optional<DayOfWeek> weekday(String name) {
        return Optional.ofNullable(WEEKDAYS.get(Plain.of(name).split(" ")[0]));
    }
}
