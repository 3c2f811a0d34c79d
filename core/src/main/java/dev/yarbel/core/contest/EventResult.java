package dev.yarbel.core.contest;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What somebody did in an event.
 *
 * @param amount in the measure's unit; nothing for whoever did not make one repetition, metre or piece
 * @param seconds it took, where that counts and was taken
 * @param guessed whether it is what is expected of them, and not done yet
 */
public record EventResult(BigDecimal amount, Optional<BigDecimal> seconds, boolean guessed) {

    /** Later than any time that is taken. */
    static final BigDecimal NO_TIME = BigDecimal.valueOf(1_000_000);

    private static final String FIGURE = "(\\d{1,4}(?:[.,]\\d{1,2})?)";
    private static final Pattern WRITTEN = Pattern.compile(
            "(~?)\\s*" + FIGURE + "\\s*(kg|m|s|reps?)?(?:\\s*(?:/|in|\\s)\\s*" + FIGURE + "\\s*s?)?",
            Pattern.CASE_INSENSITIVE);

    /**
     * Reads a result as people write it: {@code 12}, {@code 320 kg}, {@code 22.4 s}, {@code 20 m / 14,8}, {@code 5 in 43.2}; with {@code ~} before
     * it where it is only expected.
     *
     * @throws IllegalArgumentException when it is none, or has a time or unit that the measure has not
     */
    public static EventResult parse(String text, EventMeasure measure) {
        Matcher matcher = WRITTEN.matcher(text.strip());
        if (!matcher.matches()) {
            throw new IllegalArgumentException("not a result: '" + text + "'");
        }
        String unit = Optional.ofNullable(matcher.group(3)).orElse("").toLowerCase(Locale.ROOT);
        boolean counted = unit.startsWith("rep") && measure == EventMeasure.REPS;
        if (!unit.isEmpty() && !counted && !unit.equals(measure.unit())) {
            throw new IllegalArgumentException("measured in " + measure.unit() + ": '" + text + "'");
        }
        Optional<BigDecimal> seconds = Optional.ofNullable(matcher.group(4)).map(EventResult::figure);
        if (seconds.isPresent() && !measure.hasSeconds()) {
            throw new IllegalArgumentException("no time counts here: '" + text + "'");
        }
        return new EventResult(
                figure(matcher.group(2)), seconds, !matcher.group(1).isEmpty());
    }

    private static BigDecimal figure(String text) {
        BigDecimal figure = new BigDecimal(text.replace(',', '.'));
        return figure.signum() == 0 ? BigDecimal.ZERO : figure.stripTrailingZeros();
    }

    /** Whether it is worth a point: somebody who moved nothing has none. */
    public boolean scores() {
        return amount.signum() > 0;
    }

    /** As it is read again. */
    public String written() {
        return (guessed ? "~" : "")
                + amount.toPlainString()
                + seconds.map(time -> " / " + time.toPlainString()).orElse("");
    }
}
