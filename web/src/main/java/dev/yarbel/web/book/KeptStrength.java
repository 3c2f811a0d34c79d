package dev.yarbel.web.book;

import dev.yarbel.core.estimate.LifterBelief;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.StrengthFilter;
import dev.yarbel.core.estimate.StrengthHistory;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.LiftedSession;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * What was believed of lifters after each of their finished sessions. The database itself takes away what no longer holds, so that what
 * is kept is right, and is that of the first sessions without a gap.
 */
@Component
class KeptStrength {

    private final JdbcTemplate jdbc;
    private final KeptMovements movements;

    KeptStrength(JdbcTemplate jdbc, KeptMovements movements) {
        this.jdbc = jdbc;
        this.movements = movements;
    }

    /**
     * What is kept of a session.
     *
     * @param belief null but for the last one
     */
    record Row(long session, LocalDate date, String belief, String movements) {}

    /** What is kept of a lifter's sessions since a day, and of the last one whenever it was; oldest first. */
    List<Row> since(long clubId, long lifterId, LocalDate day) {
        return jdbc.query(
                """
                with last as (
                  select club_id, lifter_id, estimator, held_on, session_id, belief from strength_after
                  where club_id = ? and lifter_id = ? and estimator = ? and belief is not null
                  order by held_on desc, session_id desc limit 1)
                select a.session_id, a.held_on, a.movements, case when a.session_id = last.session_id then last.belief end as belief
                from last join strength_after a using (club_id, lifter_id, estimator)
                where (a.held_on, a.session_id) <= (last.held_on, last.session_id)
                  and (a.held_on >= ? or a.session_id = last.session_id)
                order by a.held_on, a.session_id""",
                (row, at) -> new Row(
                        row.getLong("session_id"),
                        row.getObject("held_on", LocalDate.class),
                        row.getString("belief"),
                        row.getString("movements")),
                clubId,
                lifterId,
                StrengthFilter.VERSION,
                day);
    }

    /** A row's movements, of the session as it is in the log. */
    Map<Lift, MaxEstimate.Movement> movements(Row row, LiftedSession session) {
        return movements.read(row.movements, session);
    }

    /**
     * Nothing in a lifter's book changes until this transaction is over.
     *
     * @return whether there is anything in it
     */
    boolean hold(long clubId, long lifterId) {
        return !jdbc.queryForList(
                        "select lifter_id from book_version where lifter_id = ? and club_id = ? for update",
                        Long.class,
                        lifterId,
                        clubId)
                .isEmpty();
    }

    /**
     * Takes away what another version of the estimator left, and what nothing goes on from.
     *
     * @param last what is gone on from; empty where it is all worked out anew
     */
    void forgetBeyond(long clubId, long lifterId, Optional<Row> last) {
        jdbc.update(
                "delete from strength_after where club_id = ? and lifter_id = ?"
                        + " and (estimator <> ? or (held_on, session_id) > (?, ?))",
                clubId,
                lifterId,
                StrengthFilter.VERSION,
                last.map(Row::date).orElse(Strengths.FIRST_DAY),
                last.map(Row::session).orElse(0L));
    }

    /**
     * Keeps what sessions came to.
     *
     * @param steps of each session
     */
    void add(long clubId, long lifterId, List<SessionLog> sessions, List<StrengthHistory.Step> steps) {
        jdbc.batchUpdate(
                "insert into strength_after (session_id, club_id, lifter_id, held_on, estimator, belief, movements)"
                        + " values (?, ?, ?, ?, ?, ?, ?)",
                IntStream.range(0, steps.size())
                        .mapToObj(at -> new Object[] {
                            sessions.get(at).id(),
                            clubId,
                            lifterId,
                            sessions.get(at).date(),
                            StrengthFilter.VERSION,
                            steps.get(at).after().kept(),
                            movements.write(
                                    steps.get(at).movements(), sessions.get(at).lifted())
                        })
                        .toList());
    }

    /** Leaves the beliefs of one session a month of those before a day. */
    void thin(long clubId, long lifterId, LocalDate before) {
        jdbc.update("""
                update strength_after a set belief = null
                where club_id = ? and lifter_id = ? and held_on < ? and belief is not null and exists (
                  select 1 from strength_after later
                  where later.club_id = a.club_id and later.lifter_id = a.lifter_id and later.belief is not null
                    and date_trunc('month', later.held_on) = date_trunc('month', a.held_on)
                    and (later.held_on, later.session_id) > (a.held_on, a.session_id))""", clubId, lifterId, before);
    }

    /** Who has a finished session of which nothing is kept. */
    List<Behind> behind() {
        return jdbc.query(
                """
                select distinct s.club_id, s.lifter_id from training_session s
                where s.finished_at is not null
                  and not exists (select 1 from strength_after a where a.session_id = s.id and a.estimator = ?)""", (row, at) -> new Behind(row.getLong("club_id"), row.getLong("lifter_id")), StrengthFilter.VERSION);
    }

    /** A lifter. */
    record Behind(long clubId, long lifterId) {}

    static LifterBelief belief(Row last) {
        return LifterBelief.parse(last.belief);
    }
}
