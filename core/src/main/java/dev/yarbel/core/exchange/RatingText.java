package dev.yarbel.core.exchange;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import java.util.Locale;
import java.util.regex.Pattern;

/** What people write of how hard a set was: {@code 8}, {@code @8,5}, {@code RPE 9}, {@code 2 RIR}, {@code easy}, {@code fail}. */
final class RatingText {

    static final String MISSED_WORD = "(?:f|fail|failed|failure|miss|missed|x|✗|✘|nl|no lift|verfehlt|fehlversuch)";

    private static final Pattern MISSED = Pattern.compile(MISSED_WORD);
    private static final Pattern EASY = Pattern.compile("(?:easy|e|leicht|<\\s*6|>\\s*4(?: left)?|4\\+|5\\+)");
    private static final Pattern SIGNS = Pattern.compile("^(?:@|rpe)\\s*|\\s*(?:rpe|/\\s*10)$");
    private static final Pattern LEFT_SIGNS = Pattern.compile("^(?:rir)\\s*|\\s*(?:rir|left|in reserve)$");
    private static final int MOST_LEFT = 9;

    private RatingText() {}

    /** By the scale that ends with 10, or by repetitions left where the text says so. */
    static Effort rating(String text) throws Unclear {
        String said = plain(text);
        if (LEFT_SIGNS.matcher(said).find()) {
            return left(said);
        }
        Effort word = word(said);
        if (word != null) {
            return word;
        }
        try {
            return new Effort.Rated(Rpe.parse(trimmed(SIGNS.matcher(said).replaceAll(""))));
        } catch (IllegalArgumentException noRating) {
            throw new Unclear(Trouble.Kind.UNREADABLE_RATING);
        }
    }

    /** By repetitions left. */
    static Effort left(String text) throws Unclear {
        String said = LEFT_SIGNS.matcher(plain(text)).replaceAll("");
        Effort word = word(said);
        if (word != null) {
            return word;
        }
        String figure = trimmed(said);
        if (!figure.matches("\\d(?:[.,]5)?")) {
            throw new Unclear(Trouble.Kind.UNREADABLE_RATING);
        }
        int halves = 2 * (figure.charAt(0) - '0') + (figure.length() > 1 ? 1 : 0);
        if (halves > 2 * MOST_LEFT) {
            throw new Unclear(Trouble.Kind.UNREADABLE_RATING);
        }
        return new Effort.Rated(Rpe.withHalvesLeft(halves));
    }

    private static Effort word(String said) {
        if (said.isEmpty()) {
            return new Effort.Unrated();
        }
        if (MISSED.matcher(said).matches()) {
            return new Effort.Missed();
        }
        return EASY.matcher(said).matches() ? new Effort.MoreThanFourLeft() : null;
    }

    private static String plain(String text) {
        return text.strip().toLowerCase(Locale.ROOT);
    }

    /** A spreadsheet writes 8 as 8.0 or 8.50. */
    private static String trimmed(String figure) {
        return figure.strip().replaceFirst("([.,][1-9]?)0+$", "$1").replaceFirst("[.,]$", "");
    }
}
