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
import java.util.List;
import java.util.Optional;
import org.hibernate.validator.constraints.Range;

/**
 * What is set of a contest.
 *
 * @param on blank while nobody knows when it will be
 * @param until the last day of a window that begins on that day; blank where the day is known
 * @param step blank for the rule set's
 * @param seconds to name the next attempt; blank for the rule set's
 * @param cancelled sent where it will not be
 * @param bring what to bring, one thing a line
 * @param plates beside each bar of the warm-up room, one of each pair; blank for the usual
 */
record ContestForm(
        @NotBlank @Size(max = 80) String name,
        @Size(max = 120) String place,
        LocalDate on,
        LocalDate until,
        LocalTime weighIn,
        LocalTime begins,
        String rules,
        String step,
        @Range(min = 0, max = 600) Integer seconds,
        Boolean cancelled,
        @Size(max = 1000) String bring,
        @Size(max = 200) String plates) {

    private static final Mass MOST_STEP = Mass.ofKg(25);
    private static final int FURTHEST_YEARS = 5;
    private static final int LONGEST_WINDOW = 92;

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
                window(),
                Optional.ofNullable(weighIn),
                Optional.ofNullable(begins),
                of.with(own, seconds == null ? of.toName() : Duration.ofSeconds(seconds), of.fourth()),
                Boolean.TRUE.equals(cancelled),
                Optional.ofNullable(bring).map(String::strip).filter(text -> !text.isEmpty()),
                Reading.fieldIfAny("plates", plates, MassList::read).orElse(List.of()));
    }

    private Optional<LocalDate> window() {
        if (until == null || until.equals(on)) {
            return Optional.empty();
        }
        if (on == null || until.isBefore(on) || until.isAfter(on.plusDays(LONGEST_WINDOW))) {
            throw new UnreadableException("contest.error.until", String.valueOf(LONGEST_WINDOW)).in("until");
        }
        return Optional.of(until);
    }
}
