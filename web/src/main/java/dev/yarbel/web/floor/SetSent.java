package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.Worn;
import dev.yarbel.web.page.FormExtras;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.hibernate.validator.constraints.Range;

/**
 * A set as it is sent from the floor; what was left blank is null. What hangs on the lifter's unit or on the set asked for stays
 * text, for {@link SetReader}.
 *
 * @param correct it was logged before, and this is a correction
 * @param at when it was lifted, in milliseconds of the epoch
 * @param wears the kit worn differs from the plan's, see {@code worn}
 */
record SetSent(
        String token,
        Boolean correct,
        Long at,
        String load,
        String reps,
        String effort,
        @Range(min = 0, max = 100) Integer helped,
        SetDetails.MissedBy why,
        BarSpeed speed,
        List<Worn> worn,
        Boolean wears,
        SetDetails.Video video,
        Rpe partner,
        @Size(max = SetDetails.LONGEST_NOTE) String note,
        String time,
        String distance,
        String confirmed,
        String meant) {

    boolean isCorrection() {
        return Boolean.TRUE.equals(correct);
    }

    /** Whether the lifter was asked about these very figures and stands by them. */
    boolean isMeant() {
        return FormExtras.isMeant(meant, load, reps, effort) || confirmed != null && confirmed.equals(load);
    }
}
