package dev.yarbel.core.exchange;

import dev.yarbel.core.block.Block;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The head of a block in a table: a row with an exercise and weeks ({@code Exercise | W1 | W2}), or two of them, the weeks standing in a row
 * above, each over what is written of it ({@code Week 1 | | Week 2} over {@code Lift | Dose | Load | Dose | Load}); a row of dates may lie
 * between.
 *
 * @param first the first row of it, from 0
 * @param last the row under which the exercises stand, from 0
 * @param lift the column of exercises, from 0
 * @param day the column of days; below 0 where there is none
 * @param letter the column of letters; below 0 where there is none
 * @param weeks the number of each week from 1 by the column of its doses
 * @param weekday of the dates between the rows; empty where none stands there
 * @param unread heads that are none of these
 */
record PlanHead(
        int first,
        int last,
        int lift,
        int day,
        int letter,
        SortedMap<Integer, Integer> weeks,
        Optional<DayOfWeek> weekday,
        List<String> unread) {

    private static final int ABOVE = 2;

    private static final Pattern WEEK = Pattern.compile(
            "(?:(?:week|wk|w|woche|wo|kw|microcycle|mikrozyklus)\\s*)?(\\d{1,2})(?:\\s*(?:week|wk|woche))?");
    private static final Pattern WEEK_BY_NAME = Pattern.compile(".*[a-z].*");
    /** Heads of a column of letters. (Common practice, no source.) */
    private static final Set<String> LETTERS =
            Set.of("slot", "letter", "order", "no", "nr", "code", "buchstabe", "reihenfolge", "platz");
    /** Heads of what is to be done, among other things of a week. (Common practice, no source.) */
    private static final Set<String> DOSES = Set.of(
            "dose",
            "dosis",
            "plan",
            "planned",
            "prescription",
            "prescribed",
            "sets x reps",
            "sets reps",
            "soll",
            "vorgabe");

    /** The head whose last row is one of a table; empty where that is none. */
    static Optional<PlanHead> endingAt(List<List<String>> table, int row) {
        Reading reading = new Reading();
        for (int at = 0; at < table.get(row).size(); at++) {
            reading.head(at, table.get(row).get(at));
        }
        if (reading.lift < 0) {
            return Optional.empty();
        }
        if (!reading.weeks.isEmpty()) {
            return Optional.of(reading.made(row, row, Optional.empty()));
        }
        for (int above = row - 1; above >= Math.max(0, row - ABOVE); above--) {
            TreeMap<Integer, Integer> named = weeksByName(table.get(above));
            if (!named.isEmpty()) {
                reading.under(named, table.get(row));
                Optional<DayOfWeek> weekday =
                        above < row - 1 ? weekday(table.get(above + 1), named.firstKey()) : Optional.empty();
                return Optional.of(reading.made(above, row, weekday));
            }
        }
        return Optional.empty();
    }

    int mostWeeks() {
        return Collections.max(weeks.values());
    }

    private static Optional<Integer> week(String head) {
        Matcher week = WEEK.matcher(Plain.of(head));
        return week.matches()
                ? Optional.of(Integer.parseInt(week.group(1)))
                        .filter(number -> number >= 1 && number <= Block.MOST_WEEKS)
                : Optional.empty();
    }

    /** Weeks that are called so: a mere figure above a head may be anything. */
    private static TreeMap<Integer, Integer> weeksByName(List<String> row) {
        TreeMap<Integer, Integer> weeks = new TreeMap<>();
        for (int at = 0; at < row.size(); at++) {
            String head = row.get(at);
            if (WEEK_BY_NAME.matcher(Plain.of(head)).matches()) {
                Optional<Integer> number = week(head);
                if (number.isPresent() && !weeks.containsValue(number.get())) {
                    weeks.put(at, number.get());
                }
            }
        }
        return weeks;
    }

    private static Optional<DayOfWeek> weekday(List<String> dates, int at) {
        try {
            return at < dates.size()
                    ? Optional.of(LocalDate.parse(dates.get(at).strip()).getDayOfWeek())
                    : Optional.empty();
        } catch (DateTimeException noDate) {
            return Optional.empty();
        }
    }

    private static final class Reading {

        private final TreeMap<Integer, Integer> weeks = new TreeMap<>();
        private final List<String> unread = new ArrayList<>();
        private int lift = -1;
        private int day = -1;
        private int letter = -1;

        private void head(int at, String written) {
            String head = written.strip();
            Optional<Holds> known = Holds.under(head);
            Optional<Integer> week = week(head).filter(number -> !weeks.containsValue(number));
            if (lift < 0 && known.filter(Holds.LIFT::equals).isPresent()) {
                lift = at;
            } else if (day < 0
                    && known.filter(one -> one == Holds.DAY || one == Holds.WEEKDAY)
                            .isPresent()) {
                day = at;
            } else if (letter < 0 && (head.equals("#") || LETTERS.contains(Plain.of(head)))) {
                letter = at;
            } else if (week.isPresent()) {
                weeks.put(at, week.get());
            } else if (!head.isEmpty()) {
                unread.add(head);
            }
        }

        /** Of each week the column of doses: that which is called so, else the first. */
        private void under(TreeMap<Integer, Integer> named, List<String> heads) {
            unread.clear();
            named.forEach((from, number) -> {
                Integer next = named.higherKey(from);
                int until = next == null ? heads.size() : next;
                int dose = from;
                for (int at = from; at < until; at++) {
                    if (DOSES.contains(Plain.of(heads.get(at)))) {
                        dose = at;
                        break;
                    }
                }
                weeks.put(dose, number);
            });
        }

        private PlanHead made(int first, int last, Optional<DayOfWeek> weekday) {
            return new PlanHead(first, last, lift, day, letter, weeks, weekday, List.copyOf(unread));
        }
    }
}
