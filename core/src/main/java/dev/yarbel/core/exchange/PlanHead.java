package dev.yarbel.core.exchange;

import dev.yarbel.core.block.Block;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

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
 */
record PlanHead(
        int first,
        int last,
        int lift,
        int day,
        int letter,
        SortedMap<Integer, Integer> weeks,
        Optional<DayOfWeek> weekday) {

    private static final int ABOVE = 2;

    private static final Pattern WEEK = Pattern.compile(
            "(?:(?:week|wk|w|woche|wo|kw|microcycle|mikrozyklus)\\s*)?(\\d{1,2})(?:\\s*(?:week|wk|woche))?");
    private static final Pattern WEEK_BY_NAME = Pattern.compile(".*[a-z].*");
    /** As most doses begin: {@code 5x5}, {@code 3 x 8 @ 60 %}. */
    private static final Pattern ASKED = Pattern.compile("\\d{1,3}\\s*[x×*]\\s*\\d.*");
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

    static final String LIFT = "lift";
    static final String DAY = "day";
    static final String LETTER = "letter";
    /** What is asked for in the week that stands above. */
    static final String DOSE = "dose";
    /** Before the number of a week. */
    static final String WEEK_NUMBER = "week-";

    /** What columns of blocks hold, and how one sees it. */
    record Words(LiftIndex lifts) implements HeadWords {

        @Override
        public List<String> codes(List<List<String>> rows, int at) {
            List<String> codes =
                    HeadedTable.once(rows.get(at).stream().map(Words::code).toList());
            if (codes.stream().anyMatch(code -> code.startsWith(WEEK_NUMBER))) {
                return codes;
            }
            return above(rows, at)
                    .map(above -> under(codes, rows.get(at), weeksByName(rows.get(above))))
                    .orElse(codes);
        }

        private static Optional<String> code(String head) {
            Optional<Holds> known = Holds.under(head);
            if (known.filter(Holds.LIFT::equals).isPresent()) {
                return Optional.of(LIFT);
            }
            if (known.filter(one -> one == Holds.DAY || one == Holds.WEEKDAY).isPresent()) {
                return Optional.of(DAY);
            }
            if (head.equals("#") || LETTERS.contains(Plain.of(head))) {
                return Optional.of(LETTER);
            }
            return week(head).map(number -> WEEK_NUMBER + number);
        }

        /** Of each week the column of doses: that which is called so, else the first. */
        private static List<String> under(List<String> codes, List<String> heads, TreeMap<Integer, Integer> named) {
            List<String> with = new ArrayList<>(codes);
            named.keySet().forEach(from -> {
                Integer next = named.higherKey(from);
                int until = next == null ? heads.size() : Math.min(next, heads.size());
                int dose = IntStream.range(from, until)
                        .filter(at -> DOSES.contains(Plain.of(heads.get(at))))
                        .findFirst()
                        .orElse(from);
                if (dose < until) {
                    with.set(dose, DOSE);
                }
            });
            return with;
        }

        @Override
        public boolean areEnough(Set<String> codes) {
            return codes.contains(LIFT)
                    && codes.stream().anyMatch(code -> code.equals(DOSE) || code.startsWith(WEEK_NUMBER));
        }

        @Override
        public Map<String, Predicate<String>> contents(Set<String> known) {
            Map<String, Predicate<String>> contents = new LinkedHashMap<>();
            contents.put(
                    LIFT, text -> lifts.find(text).filter(LiftIndex.Match::sure).isPresent());
            contents.put(DAY, text -> DayText.weekday(text).isPresent());
            if (!known.contains(DOSE)) {
                for (int week = 1; week <= Block.MOST_WEEKS; week++) {
                    contents.put(WEEK_NUMBER + week, text -> ASKED.matcher(text).matches());
                }
            }
            return contents;
        }
    }

    /** The row of weeks above the last row of a head, if it is not in that. */
    private static Optional<Integer> above(List<List<String>> table, int row) {
        return IntStream.iterate(row - 1, at -> at >= Math.max(0, row - ABOVE), at -> at - 1)
                .filter(at -> !weeksByName(table.get(at)).isEmpty())
                .boxed()
                .findFirst();
    }

    /**
     * The head whose last row is one of a table; empty where that is none.
     *
     * @param row from 0; below 0 where the table has no heads
     * @param codes what its columns hold
     */
    static Optional<PlanHead> endingAt(List<List<String>> table, int row, List<String> codes) {
        if (!codes.contains(LIFT)) {
            return Optional.empty();
        }
        TreeMap<Integer, Integer> weeks = new TreeMap<>();
        for (int at = 0; at < codes.size(); at++) {
            if (codes.get(at).startsWith(WEEK_NUMBER)) {
                // of two columns that are said to be the same week the first is
                Integer number = Integer.valueOf(codes.get(at).substring(WEEK_NUMBER.length()));
                if (!weeks.containsValue(number)) {
                    weeks.put(at, number);
                }
            }
        }
        if (!weeks.isEmpty()) {
            return Optional.of(made(row, row, codes, weeks, Optional.empty()));
        }
        return above(table, row).flatMap(above -> {
            TreeMap<Integer, Integer> named = weeksByName(table.get(above));
            for (int at = 0; at < codes.size(); at++) {
                Map.Entry<Integer, Integer> week = named.floorEntry(at);
                if (codes.get(at).equals(DOSE) && week != null && !weeks.containsValue(week.getValue())) {
                    weeks.put(at, week.getValue());
                }
            }
            Optional<DayOfWeek> weekday =
                    above < row - 1 ? weekday(table.get(above + 1), named.firstKey()) : Optional.empty();
            return weeks.isEmpty() ? Optional.empty() : Optional.of(made(above, row, codes, weeks, weekday));
        });
    }

    private static PlanHead made(
            int first, int last, List<String> codes, TreeMap<Integer, Integer> weeks, Optional<DayOfWeek> weekday) {
        return new PlanHead(
                first,
                last,
                codes.indexOf(LIFT),
                codes.indexOf(DAY),
                codes.indexOf(LETTER),
                Collections.unmodifiableSortedMap(weeks),
                weekday);
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
}
