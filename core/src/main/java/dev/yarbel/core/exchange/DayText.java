package dev.yarbel.core.exchange;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A day as people and spreadsheets write it: {@code 2024-03-12}, {@code 12.3.24}, {@code 3/12/2024}, {@code 12 Mar 2024}, {@code Mar 12,
 * 2024}, {@code Tue 12.03.2024}, {@code 2024-03-12T18:00}, or the number of a day that a spreadsheet counts from the end of 1899
 * (ECMA-376, 18.17.4.1).
 */
public final class DayText {

    /** Which figure of a date comes first where both could. */
    public enum Order {
        DAY_FIRST,
        MONTH_FIRST
    }

    private static final String WEEKDAY = "(?:\\p{L}{2,10}\\.?,?\\s+)?";
    private static final String TIME = "(?:[T ,]+\\d{1,2}[:.]\\d{2}.*)?";
    private static final Pattern ISO = Pattern.compile(WEEKDAY + "(\\d{4})[-./](\\d{1,2})[-./](\\d{1,2})" + TIME);
    private static final Pattern FIGURES =
            Pattern.compile(WEEKDAY + "(\\d{1,2})\\s*[-./]\\s*(\\d{1,2})\\s*[-./]\\s*(\\d{2}|\\d{4})" + TIME);
    private static final Pattern MONTH_NAMED = Pattern.compile(
            WEEKDAY + "(\\d{1,2})(?:\\.|st|nd|rd|th)?[-\\s]*(\\p{L}{3,9})\\.?[-,\\s]*(\\d{2}|\\d{4})" + TIME);
    private static final Pattern MONTH_NAMED_FIRST = Pattern.compile(
            WEEKDAY + "(\\p{L}{3,9})\\.?[-\\s]*(\\d{1,2})(?:st|nd|rd|th)?[-,\\s]+(\\d{2}|\\d{4})" + TIME);
    private static final Pattern NUMBER = Pattern.compile("([2-6]\\d{4})(?:[.,]\\d+)?");
    private static final Pattern NO_YEAR = Pattern.compile(
            WEEKDAY
                    + "(?:\\d{1,2}\\s*[-./]\\s*\\d{1,2}\\.?|\\d{1,2}\\.?[-\\s]*\\p{L}{3,9}\\.?|\\p{L}{3,9}\\.?[-\\s]*\\d{1,2}\\.?)");

    private static final LocalDate ZERO = LocalDate.of(1899, 12, 30);
    private static final List<List<String>> MONTHS = List.of(
            List.of("jan", "janner"),
            List.of("feb"),
            List.of("mar", "maer", "mrz"),
            List.of("apr"),
            List.of("may", "mai"),
            List.of("jun"),
            List.of("jul"),
            List.of("aug"),
            List.of("sep"),
            List.of("oct", "okt"),
            List.of("nov"),
            List.of("dec", "dez"));
    private static final List<List<String>> WEEKDAYS = List.of(
            List.of("mo", "mon", "monday", "montag"),
            List.of("di", "tu", "tue", "tues", "tuesday", "dienstag"),
            List.of("mi", "we", "wed", "wednesday", "mittwoch"),
            List.of("do", "th", "thu", "thur", "thurs", "thursday", "donnerstag"),
            List.of("fr", "fri", "friday", "freitag"),
            List.of("sa", "sat", "saturday", "samstag", "sonnabend"),
            List.of("so", "su", "sun", "sunday", "sonntag"));
    /** Two figures of a year up to these are of this century. */
    private static final int THIS_CENTURY = 79;

    private DayText() {}

    /** The day; empty where the text is none that is on a calendar. */
    public static Optional<LocalDate> read(String text, Order order) {
        String day = text.strip();
        Matcher iso = ISO.matcher(day);
        if (iso.matches()) {
            return day(iso.group(1), iso.group(2), iso.group(3));
        }
        Matcher figures = FIGURES.matcher(day);
        if (figures.matches()) {
            boolean dayFirst = order == Order.DAY_FIRST;
            return day(figures.group(3), figures.group(dayFirst ? 2 : 1), figures.group(dayFirst ? 1 : 2));
        }
        Matcher named = MONTH_NAMED.matcher(day);
        if (named.matches()) {
            return month(named.group(2)).flatMap(month -> day(named.group(3), month, named.group(1)));
        }
        Matcher namedFirst = MONTH_NAMED_FIRST.matcher(day);
        if (namedFirst.matches()) {
            return month(namedFirst.group(1)).flatMap(month -> day(namedFirst.group(3), month, namedFirst.group(2)));
        }
        Matcher number = NUMBER.matcher(day);
        return number.matches() ? Optional.of(ZERO.plusDays(Long.parseLong(number.group(1)))) : Optional.empty();
    }

    /** The order that a date cannot but be written in; empty where both would do, or neither. */
    public static Optional<Order> onlyOrder(String text) {
        if (!FIGURES.matcher(text.strip()).matches()) {
            return Optional.empty();
        }
        boolean dayFirst = read(text, Order.DAY_FIRST).isPresent();
        boolean monthFirst = read(text, Order.MONTH_FIRST).isPresent();
        return dayFirst == monthFirst ? Optional.empty() : Optional.of(dayFirst ? Order.DAY_FIRST : Order.MONTH_FIRST);
    }

    /** Whether the day hangs on the order of its figures. */
    public static boolean hangsOnOrder(String text) {
        Optional<LocalDate> dayFirst = read(text, Order.DAY_FIRST);
        return dayFirst.isPresent() && !dayFirst.equals(read(text, Order.MONTH_FIRST));
    }

    /** Whether it is a day without its year, such as {@code 12.3.} or {@code 5-Mar}. */
    public static boolean lacksYear(String text) {
        return NO_YEAR.matcher(text.strip()).matches() && (text.matches(".*\\d\\s*[-./].*\\d.*") || namesMonth(text));
    }

    private static boolean namesMonth(String text) {
        return Pattern.compile("\\p{L}{3,9}").matcher(text).results().anyMatch(word -> month(word.group())
                .isPresent());
    }

    /** The day of the week that a text names; empty for anything else. */
    public static Optional<DayOfWeek> weekday(String text) {
        String plain = Plain.of(text);
        for (DayOfWeek day : DayOfWeek.values()) {
            if (WEEKDAYS.get(day.ordinal()).contains(plain)) {
                return Optional.of(day);
            }
        }
        return Optional.empty();
    }

    private static Optional<String> month(String name) {
        String plain = Plain.of(name).toLowerCase(Locale.ROOT);
        for (int month = 0; month < MONTHS.size(); month++) {
            if (MONTHS.get(month).stream().anyMatch(plain::startsWith)) {
                return Optional.of(String.valueOf(month + 1));
            }
        }
        return Optional.empty();
    }

    private static Optional<LocalDate> day(String year, String month, String day) {
        int written = Integer.parseInt(year);
        int full = year.length() > 2 ? written : written <= THIS_CENTURY ? 2000 + written : 1900 + written;
        try {
            return Optional.of(LocalDate.of(full, Integer.parseInt(month), Integer.parseInt(day)));
        } catch (DateTimeException notOnACalendar) {
            return Optional.empty();
        }
    }
}
