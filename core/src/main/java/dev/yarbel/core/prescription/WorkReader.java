package dev.yarbel.core.prescription;

import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.prescription.DoseParser.Problem;
import dev.yarbel.core.prescription.TextCursor.Stop;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** Reads how the sets of a dose are built, as {@link DoseParser} describes it. */
final class WorkReader {

    /** As many figures as any length needs. */
    private static final int MOST_FIGURES = 10;

    static final String TIMES = "x×X*";

    /** A single set of more repetitions than this is rather one whose times sign is missing: 55 for 5x5. */
    private static final int MOST_LIKELY_REPS = 30;

    private static final Pattern STEP = Pattern.compile("\\+\\d+(?:[.,]\\d+)?\\s*(?:kg|lb)", Pattern.CASE_INSENSITIVE);
    private static final Pattern OPENER = Pattern.compile("opener\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern ENDS_AFTER_NUMBER = Pattern.compile("\\d{3}\\s*(?=$|[,;]|then\\b)");
    private static final Pattern SETS_RANGE = Pattern.compile("[-–]\\s*\\d{1,2}\\s*[x×X*]");
    private static final Pattern LOAD_TIMES_REPS =
            Pattern.compile("[x×X*]\\s*\\d{1,2}\\s*(?=$|[,;+]|then\\b|rest\\b|cue\\b|why\\b)");
    private static final Pattern MISSING_TIMES_BEFORE_LOAD = Pattern.compile("\\d{1,3}(?:[.,]\\d+)?\\s*%");

    private final TextCursor in;
    private String loadFirst;

    WorkReader(TextCursor in) {
        this.in = in;
    }

    /** How the sets are built. */
    Work work() throws Stop {
        if (in.takeWord("climb")) {
            int reps = reps();
            if (!in.takeWord("to")) {
                throw in.stop(Problem.EXPECTED_WORD);
            }
            in.take("@");
            return new Work.Climb(reps, in.rpe());
        }
        if (in.takeWord("emom")) {
            return emom();
        }
        if (in.isAt("oO") && in.looksAt(OPENER)) {
            return Work.Straight.of(1, 1);
        }
        if (in.takeWord("prep")) {
            return new Work.Preparation(in.time(Work.MOST_TIME, Problem.EXPECTED_TIME));
        }
        if (in.takeAnyWord("rounds", "round")) {
            return rounds(Optional.empty());
        }
        if (in.takeAnyWord("max", "amrap")) {
            return max(1);
        }
        in.skipSpaces();
        int start = in.at();
        String first = in.atDigit() ? in.number() : "";
        if (first.isEmpty()) {
            throw in.stop(Problem.EXPECTED_REPS);
        }
        if (in.isAt("-–") && in.looksAt(SETS_RANGE)) {
            return setsRange(counted(first, start, Work.MOST_SETS, Problem.SETS_OUT_OF_RANGE));
        }
        if (isMoreThan(first, Work.MOST_SETS) && in.looksAt(LOAD_TIMES_REPS)) {
            loadFirst = first;
            return Work.Straight.of(1, repsAfterLoad());
        }
        if (in.take(TIMES) || in.takeWord("by")) {
            int sets = counted(first, start, Work.MOST_SETS, Problem.SETS_OUT_OF_RANGE);
            if (in.takeAnyWord("max", "amrap")) {
                return max(sets);
            }
            if (in.take("(")) {
                return clusters(sets);
            }
            in.skipSpaces();
            int second = in.at();
            if (!in.atDigit()) {
                throw in.stop(Problem.EXPECTED_REPS);
            }
            return sized(sets, in.number(), second);
        }
        if (in.takeAnyWord("rounds", "round")) {
            return rounds(Optional.of(counted(first, start, Work.MOST_SETS, Problem.SETS_OUT_OF_RANGE)));
        }
        if (in.takeAnyWord("reps", "rep")) {
            return new Work.InAll(counted(first, start, Work.MOST_REPS, Problem.REPS_OUT_OF_RANGE));
        }
        if (isMoreThan(first, MOST_LIKELY_REPS) && in.looksAt(MISSING_TIMES_BEFORE_LOAD)) {
            throw in.stop(start, Problem.MISSING_TIMES);
        }
        return sized(1, first, start);
    }

    /** Each minute a set, for so many minutes. */
    private Work emom() throws Stop {
        in.skipSpaces();
        int start = in.at();
        int minutes = in.count(Work.MOST_SETS, Problem.EXPECTED_TIME, Problem.SETS_OUT_OF_RANGE);
        in.takeAnyWord("min", "mins", "minutes");
        in.take(TIMES + ":");
        int reps = reps();
        try {
            return new Work.Density(minutes, reps, Duration.ofMinutes(minutes), Duration.ofMinutes(1));
        } catch (IllegalArgumentException tooLong) {
            throw in.stop(start, Problem.CANNOT_BE_DONE);
        }
    }

    /** {@code 2-3x8}: the lifter may stop sooner. */
    private Work setsRange(int least) throws Stop {
        in.takeRange();
        int at = in.at();
        int most = in.count(Work.MOST_SETS, Problem.EXPECTED_REPS, Problem.SETS_OUT_OF_RANGE);
        if (most < least) {
            throw in.stop(at, Problem.RANGE_DOWNWARD);
        }
        in.take(TIMES);
        int reps = reps();
        int upTo = in.takeRange() ? reps() : reps;
        if (upTo < reps) {
            throw in.stop(at, Problem.RANGE_DOWNWARD);
        }
        in.takeAnyWord("reps", "rep");
        return new Work.Straight(least, most, reps, upTo, Optional.empty());
    }

    private static boolean isMoreThan(String figure, int most) {
        return figure.length() > 1 && new BigDecimal(figure.replace(',', '.')).compareTo(BigDecimal.valueOf(most)) > 0;
    }

    /** The load that was written first, empty where none was. */
    Optional<String> loadWrittenFirst() {
        return Optional.ofNullable(loadFirst);
    }

    private int repsAfterLoad() throws Stop {
        in.take(TIMES);
        return reps();
    }

    private int counted(String figure, int start, int most, Problem outOfRange) throws Stop {
        in.skipSpaces();
        int after = in.at();
        in.backTo(start);
        int count = in.count(most, Problem.EXPECTED_REPS, outOfRange);
        if (in.at() != start + figure.length()) {
            throw in.stop(in.at(), Problem.UNEXPECTED);
        }
        in.backTo(after);
        return count;
    }

    /** Sets whose size was just read: seconds, metres, feet or repetitions. */
    private Work sized(int sets, String figure, int start) throws Stop {
        int end = start + figure.length();
        in.backTo(end);
        if (in.takeAnyWord("s", "sec", "secs", "seconds", "min", "mins", "minutes")) {
            in.backTo(start);
            return new Work.Hold(sets, in.time(Work.MOST_TIME, Problem.EXPECTED_TIME));
        }
        for (LengthUnit unit : List.of(LengthUnit.M, LengthUnit.FT)) {
            if (in.takeWord(unit.symbol())) {
                if (in.take("/")) {
                    break;
                }
                return carry(sets, figure, start, unit);
            }
        }
        in.backTo(start);
        if (figure.length() == 3 && figure.compareTo("100") > 0 && in.looksAt(ENDS_AFTER_NUMBER)) {
            throw in.stop(start, Problem.LOAD_OR_REPS);
        }
        int reps = reps();
        in.takeAnyWord("reps", "rep");
        if (in.takeRange()) {
            int top = in.at();
            int most = reps();
            if (most < reps) {
                throw in.stop(top, Problem.RANGE_DOWNWARD);
            }
            return new Work.Straight(sets, reps, most, Optional.empty());
        }
        if (in.takeWord("in")) {
            return density(sets, reps, start, false);
        }
        int beforePlus = in.at();
        if (in.isAt("+") && in.isAfterSpace() && in.looksAt(STEP)) {
            return Work.Straight.of(sets, reps);
        }
        if (in.take("+")) {
            if (in.takeWord("in")) {
                return density(sets, reps, start, true);
            }
            if (!in.takeAnyWord("chains", "chain", "bands", "band")) {
                return new Work.Straight(sets, reps, reps, Optional.of(stop()));
            }
            in.backTo(beforePlus);
        }
        return Work.Straight.of(sets, reps);
    }

    private Work carry(int sets, String figure, int start, LengthUnit unit) throws Stop {
        Length distance = figure.length() > MOST_FIGURES ? Length.ZERO : Length.parse(figure, unit);
        if (!distance.isPositive() || distance.isGreaterThan(Work.Carry.MOST_DISTANCE)) {
            throw in.stop(start, Problem.DISTANCE_OUT_OF_RANGE);
        }
        Optional<Duration> within =
                in.takeWord("in") ? Optional.of(in.time(Work.MOST_TIME, Problem.EXPECTED_TIME)) : Optional.empty();
        return new Work.Carry(sets, distance, unit, within);
    }

    private Work density(int sets, int reps, int start, boolean beyond) throws Stop {
        Duration time = in.time(Work.MOST_TIME, Problem.EXPECTED_TIME);
        if (!in.takeWord("gap")) {
            throw in.stop(Problem.EXPECTED_WORD);
        }
        Duration gap = in.time(Work.MOST_TIME, Problem.EXPECTED_TIME);
        try {
            return new Work.Density(sets, reps, time, gap, beyond);
        } catch (IllegalArgumentException tooSlow) {
            throw in.stop(start, Problem.CANNOT_BE_DONE);
        }
    }

    private Work clusters(int rounds) throws Stop {
        in.skipSpaces();
        int start = in.at();
        int within = in.count(20, Problem.EXPECTED_REPS, Problem.REPS_OUT_OF_RANGE);
        if (!in.take(TIMES)) {
            throw in.stop(Problem.EXPECTED_REPS);
        }
        int each = reps();
        int most = in.takeRange() ? reps() : each;
        Duration gap = in.time(Work.MOST_TIME, Problem.EXPECTED_TIME);
        if (!in.take(")")) {
            throw in.stop(Problem.EXPECTED_BRACKET);
        }
        try {
            return new Work.Clusters(rounds, within, each, most, gap);
        } catch (IllegalArgumentException impossible) {
            throw in.stop(start, Problem.CANNOT_BE_DONE);
        }
    }

    private Work rounds(Optional<Integer> goal) throws Stop {
        Optional<Duration> time =
                in.takeWord("in") ? Optional.of(in.time(Work.MOST_TIME, Problem.EXPECTED_TIME)) : Optional.empty();
        if (goal.isEmpty() && time.isEmpty()) {
            throw in.stop(Problem.EXPECTED_WORD);
        }
        return new Work.Rounds(goal, time);
    }

    private Work max(int sets) throws Stop {
        if (in.takeWord("in")) {
            return new Work.RepsInTime(sets, in.time(Work.MOST_TIME, Problem.EXPECTED_TIME));
        }
        return new Work.ToLimit(sets, stop());
    }

    private Work.Stop stop() throws Stop {
        if (!in.takeWord("to")) {
            return Work.Stop.FORM;
        }
        if (in.takeWord("form")) {
            return Work.Stop.FORM;
        }
        in.take("@");
        return new Work.Stop.At(in.rpe());
    }

    private int reps() throws Stop {
        return in.count(Work.MOST_REPS, Problem.EXPECTED_REPS, Problem.REPS_OUT_OF_RANGE);
    }
}
