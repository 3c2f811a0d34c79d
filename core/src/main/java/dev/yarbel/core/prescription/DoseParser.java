package dev.yarbel.core.prescription;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;

/**
 * Reads the shorthand in which coaches write a dose.
 *
 * <pre>
 * dose   = [sets ("x" | "×")] reps load { "rest" seconds | "tempo" figures }
 * load   = "@" rpe | percent "%" | ("-" | "−") percent "%" | mass ("kg" | "lb")
 * </pre>
 *
 * <p>{@code 1 @8} is one repetition rated 8, {@code 5x5 -22%} five sets of five 22 % below the top set lifted,
 * {@code 3x5 75%} a share of the working max, {@code 3×5 102,5 kg} a load. Spaces are free, letters of either case, a
 * comma is as good as a point. What cannot be read is reported with the character where reading ended.
 */
public final class DoseParser {

    /** What came of reading: a dose, or where and why it could not be read. */
    public sealed interface Result {}

    /** The dose that was read. */
    public record Read(Dose dose) implements Result {}

    /**
     * Why the text is no dose.
     *
     * @param at the index of the first character that was not understood; the length of the text when something is
     *     missing at its end
     */
    public record Unreadable(int at, Problem problem) implements Result {}

    /** What is wrong at that character. */
    public enum Problem {
        /** Nothing was typed. */
        EMPTY,
        /** A number of sets or repetitions should stand here. */
        EXPECTED_REPS,
        /** More sets than 50, or none. */
        SETS_OUT_OF_RANGE,
        /** More repetitions than 100, or none. */
        REPS_OUT_OF_RANGE,
        /** A load should stand here: @, a percentage, or kg or lb. */
        EXPECTED_LOAD,
        /** A rating should stand here: 1 to 10 in halves. */
        EXPECTED_RPE,
        /** A number should stand here. */
        EXPECTED_FIGURE,
        /** A number needs %, kg or lb after it. */
        EXPECTED_UNIT,
        /** A drop below the top is a percentage. */
        EXPECTED_PERCENT,
        /** A percentage of the max lies above 0 and up to 130, a drop above 0 and below 100. */
        PERCENT_OUT_OF_RANGE,
        /** A load lies above 0 and up to 1000 kg. */
        LOAD_OUT_OF_RANGE,
        /** Seconds of rest should stand here: 1 to 1800. */
        EXPECTED_REST,
        /** Four figures of tempo should stand here. */
        EXPECTED_TEMPO,
        /** Said twice. */
        TWICE,
        /** Only rest or tempo may follow a load. */
        UNEXPECTED
    }

    private static final Mass MOST_LOAD = Mass.ofKg(1000);

    private final String text;
    private int at;

    private DoseParser(String text) {
        this.text = text;
    }

    /** Reads a dose; never throws. */
    public static Result parse(String text) {
        try {
            return new Read(new DoseParser(text).dose());
        } catch (Stop stop) {
            return stop.why;
        }
    }

    private Dose dose() throws Stop {
        skipSpaces();
        if (at == text.length()) {
            throw stop(at, Problem.EMPTY);
        }
        int start = at;
        int sets = 1;
        int reps = count(Dose.MOST_REPS, Problem.EXPECTED_REPS, Problem.REPS_OUT_OF_RANGE);
        skipSpaces();
        if (at < text.length() && "x×X*".indexOf(text.charAt(at)) >= 0) {
            if (reps > Dose.MOST_SETS) {
                throw stop(start, Problem.SETS_OUT_OF_RANGE);
            }
            at++;
            skipSpaces();
            sets = reps;
            reps = count(Dose.MOST_REPS, Problem.EXPECTED_REPS, Problem.REPS_OUT_OF_RANGE);
        }
        LoadBasis basis = basis();
        Optional<Duration> rest = Optional.empty();
        Optional<Tempo> tempo = Optional.empty();
        for (skipSpaces(); at < text.length(); skipSpaces()) {
            int word = at;
            if (takeWord("rest")) {
                if (rest.isPresent()) {
                    throw stop(word, Problem.TWICE);
                }
                rest = Optional.of(rest());
            } else if (takeWord("tempo")) {
                if (tempo.isPresent()) {
                    throw stop(word, Problem.TWICE);
                }
                tempo = Optional.of(tempo());
            } else {
                throw stop(at, Problem.UNEXPECTED);
            }
        }
        return new Dose(sets, reps, basis, rest, tempo);
    }

    private LoadBasis basis() throws Stop {
        skipSpaces();
        if (at == text.length()) {
            throw stop(at, Problem.EXPECTED_LOAD);
        }
        char sign = text.charAt(at);
        if (sign == '@') {
            at++;
            return new LoadBasis.AtRpe(rpe());
        }
        boolean drop = sign == '-' || sign == '−' || sign == '–';
        if (drop) {
            at++;
            skipSpaces();
        } else if (!isDigit(sign)) {
            throw stop(at, Problem.EXPECTED_LOAD);
        }
        int start = at;
        String figure = figure();
        skipSpaces();
        if (at < text.length() && text.charAt(at) == '%') {
            at++;
            return percent(start, figure, drop);
        }
        int unitAt = at;
        if (!drop) {
            for (MassUnit unit : MassUnit.values()) {
                if (takeWord(unit.symbol() + "s") || takeWord(unit.symbol())) {
                    return fixed(start, figure, unit);
                }
            }
        }
        throw stop(unitAt, drop ? Problem.EXPECTED_PERCENT : Problem.EXPECTED_UNIT);
    }

    private LoadBasis percent(int start, String figure, boolean drop) throws Stop {
        Percent percent = Percent.parse(figure);
        try {
            return drop ? new LoadBasis.BelowTop(percent) : new LoadBasis.OfWorkingMax(percent);
        } catch (IllegalArgumentException outOfRange) {
            throw stop(start, Problem.PERCENT_OUT_OF_RANGE);
        }
    }

    private LoadBasis fixed(int start, String figure, MassUnit unit) throws Stop {
        Mass load = Mass.parse(figure, unit);
        if (!load.isPositive() || load.isGreaterThan(MOST_LOAD)) {
            throw stop(start, Problem.LOAD_OUT_OF_RANGE);
        }
        return new LoadBasis.Fixed(load, unit);
    }

    private Rpe rpe() throws Stop {
        skipSpaces();
        int start = at;
        if (at == text.length() || !isDigit(text.charAt(at))) {
            throw stop(at, Problem.EXPECTED_RPE);
        }
        try {
            return Rpe.parse(figure());
        } catch (IllegalArgumentException notARating) {
            throw stop(start, Problem.EXPECTED_RPE);
        }
    }

    private Duration rest() throws Stop {
        skipSpaces();
        int most = (int) Dose.MOST_REST.toSeconds();
        int seconds = count(most, Problem.EXPECTED_REST, Problem.EXPECTED_REST);
        if (!takeWord("s")) {
            endOfWord(Problem.EXPECTED_REST);
        }
        return Duration.ofSeconds(seconds);
    }

    private Tempo tempo() throws Stop {
        skipSpaces();
        int start = at;
        while (at < text.length() && at < start + 4 && "0123456789xX".indexOf(text.charAt(at)) >= 0) {
            at++;
        }
        if (at < start + 4) {
            throw stop(at, Problem.EXPECTED_TEMPO);
        }
        endOfWord(Problem.EXPECTED_TEMPO);
        return new Tempo(text.substring(start, at).toUpperCase(Locale.ROOT));
    }

    private int count(int most, Problem missing, Problem outOfRange) throws Stop {
        int start = at;
        while (at < text.length() && isDigit(text.charAt(at))) {
            at++;
        }
        if (at == start) {
            throw stop(at, missing);
        }
        String digits = text.substring(start, at);
        int count = digits.length() > 6 ? Integer.MAX_VALUE : Integer.parseInt(digits);
        if (count < 1 || count > most) {
            throw stop(start, outOfRange);
        }
        return count;
    }

    /** A decimal figure with a point or a comma, at most four digits and three decimals. */
    private String figure() throws Stop {
        int start = at;
        int whole = digits(4);
        if (whole == 0) {
            throw stop(at, Problem.EXPECTED_FIGURE);
        }
        if (at < text.length() && (text.charAt(at) == '.' || text.charAt(at) == ',')) {
            at++;
            if (digits(3) == 0) {
                throw stop(at, Problem.EXPECTED_FIGURE);
            }
        }
        if (at < text.length() && isDigit(text.charAt(at))) {
            throw stop(at, Problem.UNEXPECTED);
        }
        return text.substring(start, at);
    }

    private int digits(int most) {
        int start = at;
        while (at < text.length() && at - start < most && isDigit(text.charAt(at))) {
            at++;
        }
        return at - start;
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    /** Takes a word that is not the beginning of a longer one. */
    private boolean takeWord(String word) {
        int end = at + word.length();
        if (!text.regionMatches(true, at, word, 0, word.length())
                || end < text.length() && Character.isLetter(text.charAt(end))) {
            return false;
        }
        at = end;
        return true;
    }

    private void endOfWord(Problem problem) throws Stop {
        if (at < text.length() && Character.isLetterOrDigit(text.charAt(at))) {
            throw stop(at, problem);
        }
    }

    private void skipSpaces() {
        while (at < text.length() && (Character.isWhitespace(text.charAt(at)) || text.charAt(at) == '\u00a0')) {
            at++;
        }
    }

    private static Stop stop(int at, Problem problem) {
        return new Stop(new Unreadable(at, problem));
    }

    /** Ends reading from any depth. */
    private static final class Stop extends Exception {
        private static final long serialVersionUID = 1;

        private final transient Unreadable why;

        Stop(Unreadable why) {
            super(null, null, false, false);
            this.why = why;
        }
    }
}
