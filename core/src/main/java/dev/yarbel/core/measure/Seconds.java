package dev.yarbel.core.measure;

import java.math.BigDecimal;
import java.time.Duration;

/** Times as they are stopped and written down: in seconds, to the thousandth. */
public final class Seconds {

    private static final int MILLIS = 3;

    private Seconds() {}

    /** So many seconds; what is finer than a thousandth is cut off. */
    public static Duration of(BigDecimal seconds) {
        return Duration.ofMillis(seconds.movePointRight(MILLIS).longValue());
    }

    /** How many seconds a time has, with three decimals. */
    public static BigDecimal in(Duration time) {
        return BigDecimal.valueOf(time.toMillis(), MILLIS);
    }
}
