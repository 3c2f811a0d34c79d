package dev.yarbel.web.block;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.roster.LifterCard;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** Reads what a coach writes of a block as the sheet does; the desk knows how. */
public interface DoseReading {

    /** The dose of a text; empty for one that cannot be read, and for a day off. */
    Optional<Dose> read(LifterBlock of, String text);

    /** Why a text cannot be kept for a lift as it stands, in words; empty where it can. */
    Optional<String> trouble(LifterBlock of, Lift lift, String text);

    /** What a block of a lifter would meet that is there, in words. */
    List<String> meets(LifterCard lifter, LocalDate start, int weeks);
}
