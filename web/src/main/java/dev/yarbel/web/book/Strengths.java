package dev.yarbel.web.book;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.StrengthHistory;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.LiftedSession;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What lifters' logs make believe of them, from where it was kept on. */
@Component
class Strengths {

    /** Nothing in a log is older. */
    static final LocalDate FIRST_DAY = LocalDate.EPOCH;

    private static final LocalDate LAST_DAY = LocalDate.of(9999, 12, 31);

    private final LogReader logs;
    private final KeptStrength kept;

    Strengths(LogReader logs, KeptStrength kept) {
        this.logs = logs;
        this.kept = kept;
    }

    /**
     * What a log makes believe.
     *
     * @param log the finished sessions since the day that was asked for, oldest first
     * @param anew those of which nothing was kept
     */
    record WorkedOut(StrengthHistory history, List<SessionLog> log, List<SessionLog> anew) {}

    /**
     * What is believed of a lifter. Where something is kept, no more of the log is read than is asked for, and that came after it.
     *
     * @param log from when on the log is wanted
     * @param movements from when on it is wanted how sessions moved maxes
     */
    WorkedOut workedOut(long clubId, long lifterId, SetDown setDown, LocalDate log, LocalDate movements) {
        return workedOut(clubId, lifterId, setDown, kept.since(clubId, lifterId, movements), log);
    }

    private WorkedOut workedOut(
            long clubId, long lifterId, SetDown setDown, List<KeptStrength.Row> rows, LocalDate from) {
        Optional<KeptStrength.Row> last = last(rows);
        List<SessionLog> log = logs.finishedSince(clubId, lifterId, reach(last, from));
        int known = last.map(row -> 1 + placeOf(row, log)).orElse(0);
        if (last.isPresent() && known == 0) {
            // it was taken away between the two questions
            return workedOut(clubId, lifterId, setDown, List.of(), from);
        }
        List<SessionLog> anew = log.subList(known, log.size());
        return new WorkedOut(
                StrengthHistory.of(
                        setDown.filter(),
                        last.map(row -> kept(rows, row, log.subList(0, known))),
                        setDown.onRecord(),
                        lifted(anew)),
                log.stream().filter(session -> !session.date().isBefore(from)).toList(),
                anew);
    }

    private static Optional<KeptStrength.Row> last(List<KeptStrength.Row> rows) {
        return rows.isEmpty() ? Optional.empty() : Optional.of(rows.get(rows.size() - 1));
    }

    private static LocalDate reach(Optional<KeptStrength.Row> last, LocalDate from) {
        return last.map(row -> row.date().minusDays(StrengthHistory.DAYS_OF_SPEEDS))
                .map(speeds -> speeds.isBefore(from) ? speeds : from)
                .orElse(FIRST_DAY);
    }

    private static int placeOf(KeptStrength.Row row, List<SessionLog> log) {
        for (int at = log.size() - 1; at >= 0; at--) {
            if (log.get(at).id() == row.session()) {
                return at;
            }
        }
        return -1;
    }

    private static List<LiftedSession> lifted(List<SessionLog> log) {
        return log.stream().map(SessionLog::lifted).toList();
    }

    private StrengthHistory.Kept kept(List<KeptStrength.Row> rows, KeptStrength.Row last, List<SessionLog> log) {
        Map<Long, SessionLog> sessions = new HashMap<>();
        log.forEach(session -> sessions.put(session.id(), session));
        Map<Lift, List<MaxEstimate.Movement>> movements = new HashMap<>();
        for (KeptStrength.Row row : rows) {
            Optional.ofNullable(sessions.get(row.session()))
                    .map(session -> kept.movements(row, session.lifted()))
                    .orElse(Map.of())
                    .forEach((lift, moved) -> movements
                            .computeIfAbsent(lift, of -> new ArrayList<>())
                            .add(moved));
        }
        return new StrengthHistory.Kept(KeptStrength.belief(last), lifted(log), movements);
    }

    /**
     * Keeps what is believed after each session of which it is not kept yet. Asked again it does nothing.
     *
     * @param old beliefs before this day are thinned out
     */
    void keep(long clubId, long lifterId, SetDown setDown, LocalDate old) {
        List<KeptStrength.Row> last = kept.since(clubId, lifterId, LAST_DAY);
        WorkedOut worked = workedOut(clubId, lifterId, setDown, last, LAST_DAY);
        kept.forgetBeyond(clubId, lifterId, last(last));
        kept.add(clubId, lifterId, worked.anew(), worked.history().steps());
        kept.thin(clubId, lifterId, old);
    }
}
