package dev.yarbel.web.contest;

import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import org.hibernate.validator.constraints.Range;

/**
 * What is set of a contest.
 *
 * @param on blank while nobody knows when it will be
 * @param step blank for the rule set's
 * @param seconds to name the next attempt; blank for the rule set's
 * @param cancelled sent where it will not be
 */
record ContestForm(
        @NotBlank @Size(max = 80) String name,
        @Size(max = 120) String place,
        LocalDate on,
        LocalTime weighIn,
        LocalTime begins,
        String rules,
        String step,
        @Range(min = 0, max = 600) Integer seconds,
        Boolean cancelled) {

    private static final Mass MOST_STEP = Mass.ofKg(25);
    private static final int FURTHEST_YEARS = 5;

    /** @throws UnreadableException when no contest is on such a day */
    static LocalDate day(LocalDate on, LocalDate today) {
        if (on.isBefore(today.minusYears(FURTHEST_YEARS)) || on.isAfter(today.plusYears(FURTHEST_YEARS))) {
            throw new UnreadableException("contest.error.day").in("on");
        }
        return on;
    }

    /** @throws UnreadableException when it cannot be held like this */
    ContestEntity.Set read(LocalDate today) {
        if (rules == null || !ContestRules.keys().contains(rules)) {
            throw new UnreadableException("read.choice").in("rules");
        }
        if (on != null) {
            day(on, today);
        }
        ContestRules of = ContestRules.named(rules);
        Mass own = step == null
                ? of.step()
                : Reading.field("step", step, text -> Reading.mass(text, MassUnit.KG, MOST_STEP));
        return new ContestEntity.Set(
                name.strip(),
                Optional.ofNullable(place),
                Optional.ofNullable(on),
                Optional.ofNullable(weighIn),
                Optional.ofNullable(begins),
                of.with(own, seconds == null ? of.toName() : Duration.ofSeconds(seconds), of.fourth()),
                Boolean.TRUE.equals(cancelled));
    }
}
