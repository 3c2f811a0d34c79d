package dev.yarbel.web.book;

import java.math.BigDecimal;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How a coach decided that a lifter's ratings lean.
 *
 * @param reps repetitions said beyond those left, to a half; below nothing where some are hidden
 */
public record DecidedBias(BigDecimal reps, String why) {

    private static final int MOST_HALVES = 8;

    public DecidedBias {
        reps = reps.setScale(1);
    }

    /** What can be decided, from hiding most to claiming most. */
    static List<BigDecimal> choices() {
        return IntStream.rangeClosed(-MOST_HALVES, MOST_HALVES)
                .mapToObj(halves -> BigDecimal.valueOf(halves * 5L, 1))
                .toList();
    }
}
