package dev.yarbel.web.book;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A set of a session as it is read in bulk, without the keeping that an entity costs; a session without sets is one row
 * whose set is null.
 */
record LogRow(
        long session,
        LocalDate heldOn,
        Long planDay,
        Integer planWeek,
        Instant finishedAt,
        String pain,
        String planned,
        SessionRatings ratings,
        String task,
        Lift lift,
        Mass load,
        Integer reps,
        String effort,
        Instant loggedAt,
        DetailColumns details) {

    Optional<DoneSet> set() {
        return task == null
                ? Optional.empty()
                : Optional.of(new DoneSet(
                        TaskKey.parse(task),
                        new LiftedSet(
                                lift,
                                load,
                                reps,
                                Effort.parse(effort),
                                details == null ? SetDetails.NONE : details.details())));
    }

    SessionLog log(List<DoneSet> sets, List<Instant> times) {
        return new SessionLog(
                session,
                heldOn,
                planDay == null ? Optional.empty() : Optional.of(new PlannedDay(planDay, planWeek)),
                finishedAt != null,
                Optional.ofNullable(pain),
                Optional.ofNullable(planned).flatMap(AskedDay::parse),
                ratings == null ? new SessionRatings() : ratings,
                sets,
                times);
    }
}
