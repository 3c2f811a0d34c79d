package dev.yarbel.core.adjust;

import dev.yarbel.core.measure.Percent;

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
}
