package dev.yarbel.core.exchange;

import dev.yarbel.core.lift.Lift;
import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
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
 * a column of their own or in a row that holds nothing else. What a cell asks for is not read here: it is a dose, and has its own language.
 */
public final class PlanTable {

    private static final int HEAD_WITHIN = 15;
    private static final int MOST_WEEKS = 52;
    private static final int MOST_DAYS = 14;
    private static final int MOST_SLOTS = 26;

    private static final Pattern WEEK = Pattern.compile(
            "(?:(?:week|wk|w|woche|wo|kw|microcycle|mikrozyklus)\\s*)?(\\d{1,2})(?:\\s*(?:week|wk|woche))?");
    private static final Pattern LETTER = Pattern.compile("([A-Za-z])\\s*([1-9])?[.):]?");
    private static final Pattern OFF = Pattern.compile("|[-–—./]|x|off|rest|pause|frei|n/?a", Pattern.CASE_INSENSITIVE);
    /** Heads of a column of letters. (Common practice, no source.) */
    private static final Set<String> LETTERS =
            Set.of("slot", "letter", "order", "no", "nr", "code", "buchstabe", "reihenfolge", "platz");

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
    private final Map<Integer, Integer> weeks = new TreeMap<>();
    private final List<Day> days = new ArrayList<>();
    private final List<Integer> homeless = new ArrayList<>();
    private final List<String> unread = new ArrayList<>();
    private int lift = -1;
    private int day = -1;
    private int letter = -1;
    private String dayName = "";
    private List<Row> rows = new ArrayList<>();

    private PlanTable(LiftIndex lifts) {
        this.lifts = lifts;
    }

    /** Reads a table; empty where no row of its first is a head with an exercise and weeks. */
    public static Optional<Read> read(List<List<String>> table, LiftIndex lifts) {
        for (int head = 0; head < Math.min(table.size(), HEAD_WITHIN); head++) {
            PlanTable plan = new PlanTable(lifts);
            if (plan.heads(table.get(head))) {
                // what stood above the head may name its first day
                plan.dayName = head > 0 ? alone(table.get(head - 1)).orElse("") : "";
                for (int at = head + 1; at < table.size(); at++) {
                    plan.row(at + 1, table.get(at));
                }
                plan.endDay();
                return plan.days.isEmpty()
                        ? Optional.empty()
                        : Optional.of(
                                new Read(Collections.max(plan.weeks.values()), plan.days, plan.homeless, plan.unread));
            }
        }
        return Optional.empty();
    }

    private boolean heads(List<String> heads) {
        for (int at = 0; at < heads.size(); at++) {
            String head = heads.get(at).strip();
            String plain = Plain.of(head);
            Matcher week = WEEK.matcher(plain);
            Optional<Holds> known = Holds.under(head);
            if (lift < 0 && known.filter(Holds.LIFT::equals).isPresent()) {
                lift = at;
            } else if (day < 0
                    && known.filter(one -> one == Holds.DAY || one == Holds.WEEKDAY)
                            .isPresent()) {
                day = at;
            } else if (letter < 0 && (head.equals("#") || LETTERS.contains(plain))) {
                letter = at;
            } else if (week.matches() && isWeek(Integer.parseInt(week.group(1)))) {
                weeks.put(at, Integer.parseInt(week.group(1)));
            } else if (!head.isEmpty()) {
                unread.add(head);
            }
        }
        return lift >= 0 && !weeks.isEmpty();
    }

    private boolean isWeek(int number) {
        return number >= 1 && number <= MOST_WEEKS && !weeks.containsValue(number);
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
        String name = cell(row, lift);
        String called = cell(row, day);
        Optional<String> alone = alone(row);
        boolean asks = weeks.keySet().stream()
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
        List<Cell> doses = new ArrayList<>(Collections.nCopies(Collections.max(weeks.values()), new Cell(lift, "")));
        weeks.forEach((at, week) -> {
            String text = cell(row, at);
            doses.set(week - 1, new Cell(at, OFF.matcher(text).matches() ? "" : text));
        });
        Optional<LiftIndex.Match> match = find(name);
        rows.add(new Row(
                line,
                lift,
                letter(cell(row, letter)),
                name,
                match.filter(LiftIndex.Match::sure).map(LiftIndex.Match::lift),
                match.filter(found -> !found.sure()).map(LiftIndex.Match::lift),
                doses));
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
            days.add(new Day(dayName, weekday(dayName), rows));
        }
        rows = new ArrayList<>();
    }

    /** The day of the week that a name begins with: {@code Monday}, {@code Mo – Squat}. */
    private static Optional<DayOfWeek> weekday(String name) {
        return Optional.ofNullable(WEEKDAYS.get(Plain.of(name).split(" ")[0]));
    }
}
