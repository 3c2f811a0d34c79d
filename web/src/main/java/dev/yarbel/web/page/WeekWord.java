package dev.yarbel.web.page;

import java.time.LocalDate;
import java.util.Optional;

/** What a coach wrote about a lifter's weeks; the room of weeks knows. */
public interface WeekWord {

    /** The Monday of the newest week that was written about, if that lies no further back than a day. */
    Optional<LocalDate> newest(long clubId, long lifterId, LocalDate since);
}
