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
        MassUnit unit,
        Rounding rounding,
        Percent shareOfEstimate,
        Optional<LocalDate> noviceSince) {

    private static final Percent USUAL_SHARE = Percent.of(95);

    /** The three fields that start a lifter are name, unit and gym; the rest is as usual. */
    static NewLifter of(long clubId, String name, long coachId, MassUnit unit) {
        return new NewLifter(clubId, name, coachId, unit, Rounding.NEAREST, USUAL_SHARE, Optional.empty());
    }
}
