package dev.yarbel.web.book;

import dev.yarbel.core.tally.Exposure;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A session without its sets, for lists.
 *
 * @param planned the day of a plan it answers
 * @param judgement how it compares with what was asked; empty where nothing was asked, or it is open
 * @param pain something hurt in it
 * @param cutShort the lifter said that sets were left out
 */
public record SessionGlance(
        long lifterId,
        LocalDate date,
        Optional<PlannedDay> planned,
        boolean finished,
        Optional<Exposure.Judgement> judgement,
        boolean pain,
        boolean cutShort) {

    /** Those that answer days of plans, by those days. */
    public static Map<PlannedDay, SessionGlance> byPlannedDay(List<SessionGlance> sessions) {
        return sessions.stream()
                .filter(session -> session.planned().isPresent())
                .collect(Collectors.toMap(
                        session -> session.planned().orElseThrow(), Function.identity(), (one, same) -> one));
    }
}
