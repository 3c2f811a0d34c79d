package dev.yarbel.core.prescription;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.prescription.DoseParser.Problem;
import dev.yarbel.core.prescription.DoseParser.Unreadable;
import java.time.Duration;
import java.util.Optional;
import java.util.regex.Pattern;

/** A place in a text that is being read, and how figures and words are taken from there. */
final class TextCursor {

    /** One, or a thousand? */
    private static final Pattern THOUSANDS = Pattern.compile("\\d{1,3},\\d{3}(?!\\d)");

    private final String text;
    private int at;

    TextCursor(String text) {
        this.text = text;
    }

    int at() {
        return at;
    }

    void backTo(int place) {
        at = place;
    }

    /** Whether nothing but spaces is left. */
    boolean atEnd() {
        skipSpaces();
        return at == text.length();
    }

    /** Whether a figure comes next. */
    boolean atDigit() {
        skipSpaces();
        return at < text.length() && isDigit(text.charAt(at));
    }

    /** Whether one of these characters comes next, spaces apart. */
    boolean isAt(String anyOf) {
        int next = pastSpaces(at);
        return next < text.length() && anyOf.indexOf(text.charAt(next)) >= 0;
    }

    /** Whether the text has a letter anywhere, small or large. */
    boolean holds(char letter) {
        return text.indexOf(letter) >= 0 || text.indexOf(Character.toUpperCase(letter)) >= 0;
    }

    /** Whether a number comes next and then one of these characters, spaces apart. */
    boolean isNumberBefore(String anyOf) {
        int next = pastSpaces(at);
        int start = next;
        while (next < text.length() && isDigit(text.charAt(next))) {
            next++;
        }
        int after = pastSpaces(next);
        return next > start && after < text.length() && anyOf.indexOf(text.charAt(after)) >= 0;
    }

    /** Whether what comes next, spaces apart, begins so. */
    boolean looksAt(Pattern pattern) {
        int next = pastSpaces(at);
        return pattern.matcher(text).region(next, text.length()).lookingAt();
    }

    /** Whether spaces stand here. */
    boolean isAfterSpace() {
        return at < text.length() && isSpace(text.charAt(at)) || at > 0 && isSpace(text.charAt(at - 1));
    }

    /** Takes a character that may be written in several ways. */
    boolean take(String anyOf) {
        int next = pastSpaces(at);
        if (next < text.length() && anyOf.indexOf(text.charAt(next)) >= 0) {
            at = next + 1;
            return true;
        }
        return false;
    }

    /** Takes a word that is not the beginning of a longer one. */
    boolean takeWord(String word) {
        int next = pastSpaces(at);
        int end = next + word.length();
        if (!text.regionMatches(true, next, word, 0, word.length())
                || goesOn(end)
                || goesOn(end + 1) && text.charAt(end) == '-') {
            return false;
        }
        at = end;
        return true;
    }

    private boolean goesOn(int place) {
        return place < text.length() && Character.isLetter(text.charAt(place));
    }

    boolean takeAnyWord(String... words) {
        for (String word : words) {
            if (takeWord(word)) {
                return true;
            }
        }
        return false;
    }

    /** A whole number from 1 to {@code most}. */
    int count(int most, Problem missing, Problem outOfRange) throws Stop {
        skipSpaces();
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
    String figure() throws Stop {
        skipSpaces();
        int start = at;
        if (text.indexOf(',') >= 0 && looksAt(THOUSANDS)) {
            throw stop(start, Problem.THOUSANDS);
        }
        if (digits(4) == 0) {
            throw stop(at, Problem.EXPECTED_FIGURE);
        }
        boolean comma = at + 1 < text.length() && text.charAt(at) == ',' && isDigit(text.charAt(at + 1));
        if (comma || at < text.length() && text.charAt(at) == '.') {
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

    /** A number of any length with up to three decimals. */
    String number() {
        skipSpaces();
        int start = at;
        digits(Integer.MAX_VALUE);
        if (at + 1 < text.length() && ".,".indexOf(text.charAt(at)) >= 0 && isDigit(text.charAt(at + 1))) {
            at++;
            digits(3);
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

    /** A rating from 1 to 10 in halves. */
    Rpe rpe() throws Stop {
        if (!atDigit()) {
            throw stop(Problem.EXPECTED_RPE);
        }
        int start = at;
        try {
            return Rpe.parse(figure());
        } catch (IllegalArgumentException notARating) {
            throw stop(start, Problem.EXPECTED_RPE);
        }
    }

    /** A time with its unit: {@code 90s}, {@code 10min}, {@code 1:30}; without one in seconds. */
    Duration time(Duration most, Problem problem) throws Stop {
        skipSpaces();
        int start = at;
        int count = count((int) most.toSeconds(), problem, problem);
        Duration time;
        if (at < text.length() && text.charAt(at) == ':') {
            at++;
            int colon = at;
            if (digits(2) < 2 || text.charAt(colon) > '5') {
                throw stop(colon, problem);
            }
            time = Duration.ofMinutes(count).plusSeconds(Integer.parseInt(text.substring(colon, at)));
        } else if (takeAnyWord("min", "mins", "minutes", "'")) {
            time = Duration.ofMinutes(count);
        } else {
            takeAnyWord("s", "sec", "secs", "seconds");
            time = Duration.ofSeconds(count);
        }
        if (at < text.length() && Character.isLetterOrDigit(text.charAt(at))) {
            throw stop(at, problem);
        }
        if (time.compareTo(most) > 0) {
            throw stop(start, problem);
        }
        return time;
    }

    /** What stands between quotation marks, straight or curly. */
    String quoted() throws Stop {
        skipSpaces();
        if (!take("\"“„”")) {
            throw stop(at, Problem.EXPECTED_QUOTE);
        }
        int start = at;
        while (at < text.length() && "\"“”".indexOf(text.charAt(at)) < 0) {
            at++;
        }
        if (at == text.length()) {
            throw stop(at, Problem.EXPECTED_QUOTE);
        }
        String quoted = text.substring(start, at++).strip();
        if (quoted.isEmpty()
                || quoted.length() > Details.LONGEST_TEXT
                || quoted.indexOf('„') >= 0
                || quoted.chars().anyMatch(Character::isISOControl)) {
            throw stop(start, Problem.TEXT_TOO_LONG);
        }
        return quoted;
    }

    /** Four figures of tempo. */
    String tempo() throws Stop {
        skipSpaces();
        int start = at;
        while (at < text.length() && at < start + 4 && "0123456789xX".indexOf(text.charAt(at)) >= 0) {
            at++;
        }
        if (at < start + 4 || at < text.length() && Character.isLetterOrDigit(text.charAt(at))) {
            throw stop(at, Problem.EXPECTED_TEMPO);
        }
        return text.substring(start, at);
    }

    /** A lift's key; empty when none stands here. */
    Optional<String> key() {
        skipSpaces();
        int start = at;
        while (at < text.length()
                && (Character.isLetterOrDigit(text.charAt(at)) || text.charAt(at) == '-' && at > start)) {
            at++;
        }
        return at == start ? Optional.empty() : Optional.of(text.substring(start, at));
    }

    /** Whether a hyphen follows at once that begins a range rather than a drop: {@code 8-12}, but not {@code 5-22%}. */
    boolean takeRange() {
        if (at + 1 >= text.length() || "-–−".indexOf(text.charAt(at)) < 0 || !isDigit(text.charAt(at + 1))) {
            return false;
        }
        int end = at + 1;
        while (end < text.length() && (isDigit(text.charAt(end)) || ".,-–".indexOf(text.charAt(end)) >= 0)) {
            end++;
        }
        while (end < text.length() && isSpace(text.charAt(end))) {
            end++;
        }
        if (end < text.length() && text.charAt(end) == '%') {
            return false;
        }
        at++;
        return true;
    }

    void skipSpaces() {
        at = pastSpaces(at);
    }

    private int pastSpaces(int place) {
        int next = place;
        while (next < text.length() && isSpace(text.charAt(next))) {
            next++;
        }
        return next;
    }

    private static boolean isSpace(char c) {
        return Character.isWhitespace(c) || c == '\u00a0';
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    Stop stop(int place, Problem problem) {
        return new Stop(new Unreadable(place, problem, Optional.empty()));
    }

    Stop stop(Problem problem) {
        skipSpaces();
        return stop(at, problem);
    }

    /** Ends reading from any depth. */
    static final class Stop extends Exception {
        private static final long serialVersionUID = 1;

        private final transient Unreadable why;

        Stop(Unreadable why) {
            super(null, null, false, false);
            this.why = why;
        }

        Unreadable why() {
            return why;
        }
    }
}
