package dev.yarbel.web.roster;

import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import java.time.LocalDate;
import java.util.Optional;

/** What takes a lifter on. */
public record NewLifter(
        long clubId,
        String name,
        long coachId,
        long kitId,
        MassUnit unit,
        Rounding rounding,
        Percent shareOfEstimate,
        Optional<LocalDate> noviceSince) {}
