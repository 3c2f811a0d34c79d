package dev.yarbel.core.recovery;

import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails.MissedBy;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A finished session as far as it tells of fatigue.
 *
 * @param work its work sets
 * @param easy it was one of a deload
 * @param before how the lifter was before it; empty where nobody asked
 * @param load how hard it was as a whole; empty where nobody said
 */
public record TrainingSeen(
        LocalDate date, List<LiftedSet> work, boolean easy, Optional<Wellbeing> before, Optional<SessionLoad> load) {

    public TrainingSeen {
        work = List.copyOf(work);
    }

    /** Whether repetitions were missed for want of strength. */
    boolean isMissed() {
        return work.stream()
                .anyMatch(set -> !set.made()
                        && set.details()
                                .missedBy()
                                .filter(why -> why != MissedBy.STRENGTH)
                                .isEmpty());
    }
}
