package dev.yarbel.web.book;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.session.LiftNumbers;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What the book knows of a lifter: each lift's numbers, and the sessions they came from, oldest first.
 *
 * @param since the log holds every session from this day on
 */
public record Standing(LocalDate since, List<LiftStanding> lifts, List<SessionLog> log) {

    public Standing {
        lifts = List.copyOf(lifts);
        log = List.copyOf(log);
    }

    public Optional<LiftStanding> of(Lift lift) {
        return lifts.stream().filter(s -> s.lift().equals(lift)).findFirst();
    }

    /** What loads can hang on, for each lift. */
    public Map<Lift, LiftNumbers> numbers() {
        return lifts.stream().collect(Collectors.toMap(LiftStanding::lift, LiftStanding::numbers));
    }

    /** The sessions by the day of the plan they answer. */
    public Map<PlannedDay, SessionLog> byPlannedDay() {
        return log.stream().collect(Collectors.toMap(SessionLog::planned, Function.identity()));
    }
}
