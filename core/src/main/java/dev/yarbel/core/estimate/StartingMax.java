package dev.yarbel.core.estimate;

import dev.yarbel.core.measure.Mass;
import java.time.LocalDate;

/** A max the coach set down before the first logged session, and the day from which it held. */
public record StartingMax(Mass max, LocalDate since) {

    public StartingMax {
        if (!max.isPositive()) {
            throw new IllegalArgumentException("a max is more than nothing");
        }
    }
}
