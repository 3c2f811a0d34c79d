package dev.yarbel.core.adjust;

import dev.yarbel.core.measure.Percent;
import java.time.LocalDate;
import java.util.Optional;

/**
 * How far one decision may move a working max, in shares of it (common practice, no source).
 *
 * @param raise the most it may rise
 * @param lower the most it may fall
 */
public record Caps(Percent raise, Percent lower) {

    /** 2.5 % up, 5 % down. */
    public static final Caps USUAL = new Caps(Percent.of("2.5"), Percent.of(5));

    /** A novice's first month: 5 % up, 5 % down. */
    public static final Caps FIRST_NOVICE_MONTH = new Caps(Percent.of(5), Percent.of(5));

    private static final int FIRST_MONTH_DAYS = 30;

    /** The caps that hold for a lifter on a day: wider for the thirty days after a novice started. */
    public static Caps on(LocalDate today, Optional<LocalDate> noviceSince) {
        return noviceSince
                .filter(since -> today.isBefore(since.plusDays(FIRST_MONTH_DAYS)))
                .map(since -> FIRST_NOVICE_MONTH)
                .orElse(USUAL);
    }
}
