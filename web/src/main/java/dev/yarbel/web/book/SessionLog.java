package dev.yarbel.web.book;

import dev.yarbel.core.adjust.SeenSession;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.DoneSet;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * One session as it was logged.
 *
 * @param planned the day of a plan it answers; empty for one that nobody planned
 * @param sets in the order they were lifted
 * @param asked what the plan asked for when its first set was logged, and what that came to
 * @param pain what the lifter noted, if anything hurt
 * @param times when each of the sets was lifted
 */
public record SessionLog(
        long id,
        LocalDate date,
        Optional<PlannedDay> planned,
        boolean finished,
        Optional<String> pain,
        Optional<AskedDay> asked,
        SessionRatings ratings,
        List<DoneSet> sets,
        List<Instant> times) {

    public SessionLog {
        sets = List.copyOf(sets);
        times = List.copyOf(times);
    }

    /** The same with its sets. */
    SessionLog with(List<DoneSet> lifted, List<Instant> when) {
        return new SessionLog(id, date, planned, finished, pain, asked, ratings, lifted, when);
    }

    /** As rules of judgement see it. */
    public SeenSession seen() {
        return new SeenSession(date, asked, sets, pain, ratings.countSaid().isPresent());
    }

    /** The sets alone, as estimates need them: what was said of a warm-up says nothing. */
    public LiftedSession lifted() {
        return new LiftedSession(
                date,
                sets.stream()
                        .map(done -> done.task().warmUp() ? done.set().asWarmUp() : done.set())
                        .toList());
    }
}
