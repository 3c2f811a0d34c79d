package dev.yarbel.core.adjust;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A week of a block as it is, beside the same week as it would be.
 *
 * @param on its first day
 * @param before empty for a week that is new
 * @param after empty for a week that goes
 */
public record WeekBeside(LocalDate on, Optional<WeekAsked> before, Optional<WeekAsked> after) {

    public boolean isChanged() {
        return !before.equals(after);
    }
}
