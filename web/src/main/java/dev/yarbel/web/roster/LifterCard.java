package dev.yarbel.web.roster;

import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lifter.Age;
import dev.yarbel.core.lifter.HealthCheck;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.lifter.Sport;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A lifter as other rooms see them.
 *
 * @param unit the unit they think in
 * @param rounding the coach's rule for loads that cannot be put on the bar exactly
 * @param shareOfEstimate the coach's share of the estimate that a working max stands at, 90 to 100 %
 * @param noviceSince the day a novice started
 * @param guardian who consented for a minor
 */
public record LifterCard(
        long id,
        long clubId,
        String name,
        MassUnit unit,
        Rounding rounding,
        Percent shareOfEstimate,
        Optional<LocalDate> noviceSince,
        Optional<Sex> sex,
        Optional<Sport> sport,
        Optional<Integer> birthYear,
        Optional<String> guardian,
        HealthCheck health,
        boolean archived) {

    /** Whether they may still be under eighteen. */
    public boolean mayBeMinor(LocalDate today) {
        return birthYear.filter(year -> Age.mayBeMinor(year, today)).isPresent();
    }

    /** Whether a guardian's consent is missing. */
    public boolean needsConsent(LocalDate today) {
        return mayBeMinor(today) && guardian.isEmpty();
    }
}
