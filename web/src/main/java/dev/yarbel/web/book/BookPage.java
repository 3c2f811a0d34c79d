package dev.yarbel.web.book;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.RatingGap;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.estimate.Trend;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.Best;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.tally.Exposure;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A lifter as the book's first page shows them.
 *
 * @param bests what was better than ever before, newest first
 * @param gap how the lifter rates against the coach; empty where too little was seen
 */
record BookPage(List<LiftLine> lifts, List<SessionLine> sessions, List<Best.PastSet> bests, Optional<RatingGap> gap) {

    private static final int SESSIONS = 8;
    private static final int BESTS = 6;

    /**
     * A lift as it stands.
     *
     * @param lastLifted when a work set of it was last done
     * @param stale the newest max that it starts from is too old to hang loads on
     */
    record LiftLine(
            Lift lift,
            Optional<Mastery> mastery,
            Optional<Mass> workingMax,
            Optional<MaxEstimate> estimate,
            Optional<RecordedMax> setDown,
            boolean stale,
            Optional<Trend> trend,
            Optional<LocalDate> lastLifted) {}

    /**
     * A session with its sets.
     *
     * @param judgement how it compares with what was asked; null where nothing was asked, or it is open
     */
    record SessionLine(SessionLog log, Exposure.Judgement judgement) {

        /** Its work sets, lift by lift, in order. */
        public List<LiftedSet> work() {
            return log.sets().stream()
                    .filter(done -> !done.task().warmUp())
                    .map(DoneSet::set)
                    .toList();
        }
    }

    static BookPage of(LifterRecord standing, LocalDate today) {
        List<SessionLog> latestFirst = new ArrayList<>(standing.log());
        Collections.reverse(latestFirst);
        return new BookPage(
                standing.lifts().stream()
                        .filter(LiftRecord::hasNumbers)
                        .map(lift -> line(lift, latestFirst, today))
                        .toList(),
                latestFirst.stream().limit(SESSIONS).map(BookPage::session).toList(),
                standing.bestsSince(today.minusWeeks(Trend.WEEKS)).stream()
                        .limit(BESTS)
                        .toList(),
                RatingGap.of(sets(latestFirst).toList()));
    }

    private static LiftLine line(LiftRecord lift, List<SessionLog> latestFirst, LocalDate today) {
        Optional<RecordedMax> setDown = Stream.of(
                        RecordedMax.Kind.CONTEST, RecordedMax.Kind.TESTED, RecordedMax.Kind.REP_MAX)
                .flatMap(kind -> lift.newest(kind).stream())
                .max((one, other) -> one.on().compareTo(other.on()));
        return new LiftLine(
                lift.lift(),
                lift.mastery(),
                lift.workingMax(),
                lift.estimate(),
                setDown,
                setDown.filter(max -> max.isStale(today)).isPresent(),
                lift.estimate().flatMap(estimate -> Trend.of(estimate, today)),
                latestFirst.stream()
                        .filter(session -> session.sets().stream()
                                .anyMatch(done -> !done.task().warmUp()
                                        && done.set().lift().equals(lift.lift())))
                        .map(SessionLog::date)
                        .findFirst());
    }

    private static SessionLine session(SessionLog session) {
        return new SessionLine(
                session,
                session.asked()
                        .filter(asked -> session.finished())
                        .map(asked -> Exposure.judgement(asked.prescriptions(), session.sets()))
                        .orElse(null));
    }

    private static Stream<LiftedSet> sets(List<SessionLog> sessions) {
        return sessions.stream().flatMap(session -> session.sets().stream()).map(DoneSet::set);
    }
}
