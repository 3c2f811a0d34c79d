package dev.yarbel.web.roster;

import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A lifter as other rooms see them.
 *
 * @param unit the unit they think in
 * @param rounding the coach's rule for loads that cannot be put on the bar exactly
 * @param shareOfEstimate the coach's share of the estimate that a working max stands at, 90 to 100 %
 * @param noviceSince the day a novice started
 */
public record LifterCard(
        long id,
        long clubId,
        String name,
        long kitId,
        MassUnit unit,
        Rounding rounding,
        Percent shareOfEstimate,
        Optional<LocalDate> noviceSince) {

    static LifterCard of(
            long id,
            long clubId,
            String name,
            long kitId,
            MassUnit unit,
            Rounding rounding,
            BigDecimal shareOfEstimate,
            LocalDate noviceSince) {
        return new LifterCard(
                id, clubId, name, kitId, unit, rounding, Percent.of(shareOfEstimate), Optional.ofNullable(noviceSince));
    }
}
