package dev.yarbel.core.exchange;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Seconds;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a log row by row. A lifter, a day or a lift that stands in one row only, as where cells are merged, holds for the rows beneath it.
 * One reader reads one table, from its first row to its last.
 */
public final class LogTable {

    private static final Effort UNRATED = new Effort.Unrated();
    private static final LocalDate EARLIEST = LocalDate.of(1950, 1, 1);
    private static final int MOST_SETS = 50;
    private static final int MOST_LIFTS_A_DAY = 26;
    private static final int MOST_SETS_A_LIFT = 99;
    private static final Pattern ERROR =
            Pattern.compile("#(?:REF!|VALUE!|N/A|DIV/0!|NAME\\?|NUM!|NULL!|BEZUG!|WERT!|NV)", Pattern.CASE_INSENSITIVE);
    private static final Pattern WHOLE = Pattern.compile("(\\d{1,3})(?:[.,]0+)?");
    private static final Pattern REPS_LIST = Pattern.compile("\\d{1,3}(?:\\s*[,/]\\s*\\d{1,3})+");
    private static final Pattern SETS_AND_REPS = Pattern.compile("\\d{1,2}\\s*[x×X*]\\s*\\d{1,3}");
    private static final Pattern RANGE = Pattern.compile("\\d{1,3}\\s*[-–]\\s*\\d{1,3}");
    private static final Pattern REPS_MISSED =
            Pattern.compile("(\\d{1,3})\\s*\\(?\\s*" + RatingText.MISSED_WORD + "\\s*\\)?");
    private static final Pattern DAY_NUMBER =
            Pattern.compile("(?:(?:training )?(?:day|tag|session|einheit|workout|d|t) )?(\\d)|[dt](\\d)");
    private static final Pattern NO = Pattern.compile(
            "(?:|0|n|no|nein|false|work|working|work set|working set|arbeitssatz|top|top set|back off|backoff|-)");
    private static final Pattern WARM_UP =
            Pattern.compile("(?:1|y|yes|ja|true|x|w|wu|warm up|warmup|aufwarmen|aufwarmsatz|ramp|ramping|ramp up)");
    private static final Pattern MADE = Pattern.compile("(?:|0|n|no|nein|false|made|good|ok|good lift|-)");

    private final Layout layout;
    private final Catalogue catalogue;
    private final Function<String, Optional<Lift>> lifts;
    private final Predicate<String> lifters;
    private final LocalDate latest;

    private String lifterAbove = "";
    private String dayAbove = "";
    private String liftAbove = "";
    private String weekdayAbove = "";
    private final Map<Held, Map<Lift, Integer>> counted = new HashMap<>();
    /** Where each thing stands, −1 where it does not. */
    private final int[] places = new int[Holds.values().length];
    /** The days of a long table come again and again. */
    private final Map<String, Optional<LocalDate>> days = new HashMap<>();

    private record Held(String lifter, LocalDate day) {}

    /**
     * A reader of one table.
     *
     * @param lifts the lift that a name means; empty for one nobody knows
     * @param lifters whether a name is that of a lifter whose log may be written
     * @param latest the last day that something may have been lifted on
     */
    public LogTable(
            Layout layout,
            Catalogue catalogue,
            Function<String, Optional<Lift>> lifts,
            Predicate<String> lifters,
            LocalDate latest) {
        this.layout = layout;
        this.catalogue = catalogue;
        this.lifts = lifts;
        this.lifters = lifters;
        this.latest = latest;
        Arrays.fill(places, -1);
        for (int at = layout.columns().size() - 1; at >= 0; at--) {
            places[layout.columns().get(at).holds().ordinal()] = at;
        }
    }

    private boolean has(Holds holds) {
        return places[holds.ordinal()] >= 0;
    }

    /** A row in hand. */
    private final class Row {

        private final int line;
        private final List<String> cells;
        private final List<ReadSet> sets = new ArrayList<>();
        private final List<Trouble> troubles = new ArrayList<>();

        Row(int line, List<String> cells) {
            this.line = line;
            this.cells = cells;
        }

        int at(Holds holds) {
            return places[holds.ordinal()];
        }

        String text(Holds holds) {
            return text(at(holds));
        }

        String text(int at) {
            return at >= 0 && at < cells.size() ? cells.get(at).strip() : "";
        }

        void trouble(Holds holds, Trouble.Kind kind, String text) {
            trouble(Math.max(0, at(holds)), kind, text);
        }

        void trouble(int column, Trouble.Kind kind, String text) {
            troubles.add(new Trouble(line, column, kind, text));
        }
    }

    /**
     * Reads the next row.
     *
     * @param line of the table, from 1
     */
    public ReadRow read(int line, List<String> cells) {
        Row row = new Row(line, cells);
        lifterAbove = orAbove(row.text(Holds.LIFTER), lifterAbove);
        String day = row.text(Holds.DAY);
        if (!day.isEmpty()
                && !day.equals(dayAbove)
                && has(Holds.LIFT)
                && row.text(Holds.LIFT).isEmpty()) {
            // another day begins with a lift of its own
            liftAbove = "";
        }
        dayAbove = orAbove(day, dayAbove);
        weekdayAbove = orAbove(row.text(Holds.WEEKDAY), weekdayAbove);
        liftAbove = orAbove(row.text(Holds.LIFT), liftAbove);
        if (saysSomething(row)) {
            read(row);
        }
        return new ReadRow(row.sets, row.troubles);
    }

    private static String orAbove(String text, String above) {
        return text.isEmpty() ? above : text;
    }

    /** A row with nothing of what was done is a heading, or blank; one with a lift and a load lacks its repetitions. */
    private boolean saysSomething(Row row) {
        for (int at = 0; at < layout.columns().size(); at++) {
            Holds holds = layout.columns().get(at).holds();
            if ((holds == Holds.DONE || holds == Holds.REPS || holds == Holds.LOAD)
                    && !DoneText.isNothing(row.text(at))) {
                return true;
            }
        }
        return false;
    }

    private void read(Row row) {
        if (liftAbove.isEmpty()) {
            row.trouble(Holds.LIFT, Trouble.Kind.NO_LIFT, "");
            return;
        }
        Optional<Lift> lift = lifts.apply(liftAbove);
        if (lift.isEmpty()) {
            row.trouble(Holds.LIFT, Trouble.Kind.UNKNOWN_LIFT, liftAbove);
            return;
        }
        if (has(Holds.LIFTER) && (lifterAbove.isEmpty() || !lifters.test(lifterAbove))) {
            row.trouble(
                    Holds.LIFTER,
                    lifterAbove.isEmpty() ? Trouble.Kind.NO_LIFTER : Trouble.Kind.UNKNOWN_LIFTER,
                    lifterAbove);
            return;
        }
        if (has(Holds.REPS)) {
            cell(row, row.at(Holds.REPS), lift.get());
        }
        for (int at = 0; at < layout.columns().size(); at++) {
            if (layout.columns().get(at).holds() == Holds.DONE && !DoneText.isNothing(row.text(at))) {
                cell(row, at, lift.get());
            }
        }
    }

    /** The sets of one cell: none where anything about them cannot be read. */
    private void cell(Row row, int at, Lift lift) {
        String text = row.text(at);
        Column column = layout.columns().get(at);
        int before = row.troubles.size();
        try {
            LocalDate day = day(row, column);
            List<DoneText.Sets> done = column.holds() == Holds.DONE ? done(row, at) : counted(row, at);
            for (DoneText.Sets sets : done) {
                if (sets.repsOrSets()) {
                    row.trouble(at, Trouble.Kind.REPS_OR_SETS, text);
                }
                write(row, at, lift, day, sets);
            }
        } catch (Unclear unclear) {
            Trouble.Kind kind = ERROR.matcher(text).find() ? Trouble.Kind.SPREADSHEET_ERROR : unclear.kind();
            row.troubles.subList(before, row.troubles.size()).clear();
            row.sets.removeIf(set -> set.column() == at);
            row.trouble(at, kind, shown(row, at, kind));
        }
    }

    /** What a trouble is about, which need not stand in the cell that the sets stand in. */
    private String shown(Row row, int at, Trouble.Kind kind) {
        return switch (kind) {
            case UNREADABLE_DAY, DAY_WITHOUT_YEAR, DAY_TO_COME, DAY_TOO_EARLY -> dayAbove;
            case SPREADSHEET_ERROR -> ERROR.matcher(row.text(at)).find() ? row.text(at) : row.text(Holds.LOAD);
            case UNREADABLE_LOAD, LOAD_OUT_OF_RANGE, THOUSANDS ->
                row.text(Holds.LOAD).isEmpty() ? row.text(at) : row.text(Holds.LOAD);
            case UNREADABLE_SETS -> row.text(Holds.SETS).isEmpty() ? row.text(at) : row.text(Holds.SETS);
            default -> row.text(at);
        };
    }

    // ---- the day

    private LocalDate day(Row row, Column column) throws Unclear {
        LocalDate day = column.day().isPresent()
                ? column.day().get()
                : column.week().isPresent() ? ofWeek(column.week().get()) : written();
        if (day.isAfter(latest)) {
            throw new Unclear(Trouble.Kind.DAY_TO_COME);
        }
        if (day.isBefore(EARLIEST)) {
            throw new Unclear(Trouble.Kind.DAY_TOO_EARLY);
        }
        return day;
    }

    private LocalDate written() throws Unclear {
        if (dayAbove.isEmpty()) {
            throw new Unclear(Trouble.Kind.NO_DAY);
        }
        Optional<LocalDate> day = days.computeIfAbsent(dayAbove, text -> DayText.read(text, layout.order()));
        if (day.isEmpty()) {
            throw new Unclear(
                    DayText.lacksYear(dayAbove) ? Trouble.Kind.DAY_WITHOUT_YEAR : Trouble.Kind.UNREADABLE_DAY);
        }
        return day.get();
    }

    private LocalDate ofWeek(int week) throws Unclear {
        Optional<DayOfWeek> weekday = DayText.weekday(weekdayAbove).or(this::numbered);
        if (layout.firstWeek().isEmpty() || weekday.isEmpty()) {
            throw new Unclear(Trouble.Kind.WEEK_WITHOUT_DAY);
        }
        return layout.firstWeek()
                .get()
                .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY))
                .plusWeeks(week - 1L)
                .with(TemporalAdjusters.nextOrSame(weekday.get()));
    }

    /** The training day by its number; the first one where the table names none. */
    private Optional<DayOfWeek> numbered() {
        Matcher number = DAY_NUMBER.matcher(Plain.of(weekdayAbove));
        boolean one = weekdayAbove.isEmpty();
        if (!one && !number.matches()) {
            return Optional.empty();
        }
        int at = one ? 0 : Integer.parseInt(number.group(1) == null ? number.group(2) : number.group(1)) - 1;
        return at >= 0 && at < layout.trained().size()
                ? Optional.of(layout.trained().get(at))
                : Optional.empty();
    }

    // ---- what was done

    private MassUnit unit(Row row, Column column) {
        return LoadText.unitIn(row.text(Holds.UNIT)).or(column::unit).orElse(layout.unit());
    }

    private Optional<Mass> ownLoad(Row row) throws Unclear {
        int at = row.at(Holds.LOAD);
        String text = row.text(at);
        if (ERROR.matcher(text).find()) {
            throw new Unclear(Trouble.Kind.SPREADSHEET_ERROR);
        }
        return DoneText.isNothing(text)
                ? Optional.empty()
                : Optional.of(LoadText.read(text, unit(row, layout.columns().get(at))));
    }

    private List<DoneText.Sets> done(Row row, int at) throws Unclear {
        String text = row.text(at);
        if (DayText.lacksYear(text) || text.matches("\\d{4}-\\d\\d-\\d\\d.*")) {
            throw new Unclear(Trouble.Kind.MADE_A_DAY);
        }
        return DoneText.read(text, unit(row, layout.columns().get(at)));
    }

    /** The sets of a column of repetitions. */
    private List<DoneText.Sets> counted(Row row, int at) throws Unclear {
        String text = row.text(at).toLowerCase(Locale.ROOT);
        if (text.isEmpty()) {
            throw new Unclear(Trouble.Kind.NO_REPS);
        }
        if (REPS_LIST.matcher(text).matches()) {
            List<Integer> reps = new ArrayList<>();
            for (String each : text.split("\\s*[,/]\\s*")) {
                reps.add(DoneText.reps(each));
            }
            return List.of(new DoneText.Sets(Optional.empty(), reps, new Effort.Unrated(), false));
        }
        if (SETS_AND_REPS.matcher(text).matches()) {
            return DoneText.read(text, layout.unit());
        }
        Matcher missed = REPS_MISSED.matcher(text);
        if (missed.matches()) {
            return repeated(row, missed.group(1), new Effort.Missed());
        }
        Matcher whole = WHOLE.matcher(text);
        if (!whole.matches()) {
            throw new Unclear(
                    DayText.lacksYear(text) && !RANGE.matcher(text).matches() || text.matches("\\d{4}-\\d\\d-\\d\\d.*")
                            ? Trouble.Kind.MADE_A_DAY
                            : RANGE.matcher(text).matches() ? Trouble.Kind.REPS_PLANNED : Trouble.Kind.UNREADABLE_REPS);
        }
        return repeated(row, whole.group(1), new Effort.Unrated());
    }

    private List<DoneText.Sets> repeated(Row row, String reps, Effort effort) throws Unclear {
        int count = DoneText.reps(reps);
        if (count == 0 && !effort.isMissed() && !isMissed(row)) {
            // missed, or never done: nobody said
            throw new Unclear(Trouble.Kind.REPS_OUT_OF_RANGE);
        }
        String sets = row.text(Holds.SETS);
        Matcher whole = WHOLE.matcher(sets);
        if (!sets.isEmpty() && (!whole.matches() || !isCount(Integer.parseInt(whole.group(1))))) {
            throw new Unclear(Trouble.Kind.UNREADABLE_SETS);
        }
        int times = sets.isEmpty() ? 1 : Integer.parseInt(whole.group(1));
        return List.of(new DoneText.Sets(Optional.empty(), Collections.nCopies(times, count), effort, false));
    }

    private static boolean isCount(int sets) {
        return sets >= 1 && sets <= MOST_SETS;
    }

    // ---- the sets

    private void write(Row row, int at, Lift lift, LocalDate day, DoneText.Sets done) throws Unclear {
        Mass load = load(row, lift, done);
        Effort effort = effort(row, done);
        SetDetails details = details(row);
        boolean doubtful = done.repsOrSets();
        for (int reps : done.reps()) {
            if (reps == 0 && !effort.isMissed()) {
                throw new Unclear(Trouble.Kind.REPS_OUT_OF_RANGE);
            }
            count(day, lift);
            row.sets.add(new ReadSet(
                    row.line,
                    at,
                    has(Holds.LIFTER) ? lifterAbove : "",
                    day,
                    new LiftedSet(lift, load, reps, effort, details),
                    isWarmUp(row),
                    doubtful
                            || row.troubles.stream()
                                    .anyMatch(trouble -> !trouble.kind().refuses())));
        }
    }

    /** Where nothing is written, only what is done with the body alone weighs nothing. */
    private Mass load(Row row, Lift lift, DoneText.Sets done) throws Unclear {
        Optional<Mass> load = done.load().isPresent() ? done.load() : ownLoad(row);
        if (load.isEmpty() && catalogue.of(lift).implement() != Implement.BODY) {
            throw new Unclear(Trouble.Kind.NO_LOAD);
        }
        return load.orElse(Mass.ZERO);
    }

    private Effort effort(Row row, DoneText.Sets done) {
        if (!done.effort().isUnrated()) {
            return done.effort();
        }
        if (done.reps().contains(0) || isMissed(row)) {
            return new Effort.Missed();
        }
        boolean left = row.text(Holds.RATING).isEmpty();
        Holds from = left ? Holds.LEFT : Holds.RATING;
        if (row.text(from).isEmpty()) {
            return UNRATED;
        }
        try {
            return left ? RatingText.left(row.text(from)) : RatingText.rating(row.text(from));
        } catch (Unclear unreadable) {
            row.trouble(from, unreadable.kind(), row.text(from));
            return new Effort.Unrated();
        }
    }

    private static boolean isMissed(Row row) {
        return !row.text(Holds.MISSED).isEmpty()
                && !MADE.matcher(Plain.of(row.text(Holds.MISSED))).matches();
    }

    private static boolean isWarmUp(Row row) {
        String text = row.text(Holds.WARM_UP);
        String type = text.isEmpty() ? text : Plain.of(text);
        return !NO.matcher(type).matches() && WARM_UP.matcher(type).matches();
    }

    private SetDetails details(Row row) {
        SetDetails details = SetDetails.NONE;
        String note = row.text(Holds.NOTE);
        if (!note.isEmpty()) {
            details = details.noted(note.substring(0, Math.min(note.length(), SetDetails.LONGEST_NOTE)));
        }
        Optional<Duration> time = positive(row, Holds.SECONDS, "s(?:ec(?:onds?)?)?")
                .map(Seconds::of)
                .filter(taken -> fits(row, taken));
        Optional<Length> distance = positive(row, Holds.DISTANCE, "m(?:et(?:er|re)s?)?")
                .map(metres -> Length.of(metres.movePointRight(2), LengthUnit.CM));
        return time.isEmpty() && distance.isEmpty() ? details : details.over(time, distance);
    }

    private static boolean fits(Row row, Duration taken) {
        boolean fits = taken.compareTo(SetDetails.LONGEST_TIME) <= 0;
        if (!fits) {
            row.trouble(Holds.SECONDS, Trouble.Kind.UNREADABLE_EXTENT, row.text(Holds.SECONDS));
        }
        return fits;
    }

    private static Optional<BigDecimal> positive(Row row, Holds holds, String unit) {
        if (row.text(holds).isEmpty()) {
            return Optional.empty();
        }
        String text = row.text(holds).toLowerCase(Locale.ROOT).replaceFirst("\\s*" + unit + "\\.?$", "");
        if (text.isEmpty() || text.equals("0") || text.equals("-")) {
            return Optional.empty();
        }
        if (!text.matches("\\d{1,4}(?:[.,]\\d{1,3})?")) {
            row.trouble(holds, Trouble.Kind.UNREADABLE_EXTENT, row.text(holds));
            return Optional.empty();
        }
        return Optional.of(new BigDecimal(text.replace(',', '.'))).filter(figure -> figure.signum() > 0);
    }

    /** A session has so many lifts, and a lift so many sets. */
    private void count(LocalDate day, Lift lift) throws Unclear {
        Map<Lift, Integer> ofDay =
                counted.computeIfAbsent(new Held(has(Holds.LIFTER) ? lifterAbove : "", day), held -> new HashMap<>());
        if (ofDay.merge(lift, 1, Integer::sum) > MOST_SETS_A_LIFT || ofDay.size() > MOST_LIFTS_A_DAY) {
            throw new Unclear(Trouble.Kind.TOO_MANY);
        }
    }
}
