package dev.yarbel.web.book;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.core.tally.Exposure;
import jakarta.persistence.EntityManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Reads sessions with their sets in bulk, a row a set: half a year of them with every page and every set that is logged, which
 * as entities would cost several times as much.
 */
@Component
class LogReader {

    /** What {@link #lifted} reads of a set. */
    static final String SET = """
            l.task, l.lift, l.load, l.reps, l.effort, l.logged_at, l.helped, l.missed_by, l.speed, l.worn, l.video, l.partner,
              l.coach_rating, l.coach_form, l.coach_link, l.coach_note, l.note, l.seconds, l.distance, l.done_as,
              l.set_up, l.reps_seen, l.coach_reps_seen, l.proof, l.speed_filmed\s""";

    private static final String ROWS = """
            select s.id, l.id as set_id, s.held_on, s.plan_day, s.plan_week, s.finished_at, s.pain, s.planned,
              s.sleep_rating, s.fatigue_rating, s.stress_rating, s.soreness_rating, s.joints_rating,
              s.effort_rating, s.minutes, s.count_said, s.coach_note as session_note,
            """ + SET + """
            from training_session s left join logged_set l on l.session_id = s.id and l.club_id = s.club_id
            where s.club_id = ? and s.lifter_id = ?\s""";

    private final JdbcTemplate jdbc;
    private final EntityManager entities;

    LogReader(JdbcTemplate jdbc, EntityManager entities) {
        this.jdbc = jdbc;
        this.entities = entities;
    }

    /**
     * A lifter's open sessions.
     *
     * @param version of all in the book that is finished and set down; empty before there is anything
     */
    record Open(Optional<UUID> version, List<SessionLog> sessions) {}

    /** A lifter's open sessions since a day, and the version that the rest of the book has at the same moment. */
    Open open(long clubId, long lifterId, LocalDate since) {
        flush();
        return jdbc.query(
                "select book.version, open.* from (select (select version from book_version where lifter_id = ?) as version) book"
                        + " left join (" + ROWS + "and s.finished_at is null and s.held_on >= ?) open on true"
                        + " order by open.held_on, open.id, open.set_id",
                rows -> {
                    rows.next();
                    return new Open(Optional.ofNullable(rows.getObject("version", UUID.class)), logsFrom(rows));
                },
                lifterId,
                clubId,
                lifterId,
                since);
    }

    /** A lifter's finished sessions since a day, oldest first, each with its sets in the order they were lifted. */
    List<SessionLog> finishedSince(long clubId, long lifterId, LocalDate since) {
        return read(
                ROWS + "and s.finished_at is not null and s.held_on >= ? order by s.held_on, s.id, l.id",
                clubId,
                lifterId,
                since);
    }

    /** Some sessions by number, after one. */
    List<SessionLog> after(long clubId, long lifterId, long after, int most) {
        return read(ROWS + """
                        and s.id in (select id from training_session where club_id = ? and lifter_id = ? and id > ?
                          order by id limit ?) order by s.id, l.id""", clubId, lifterId, clubId, lifterId, after, most);
    }

    /** One session; empty where the lifter has none of this number. */
    Optional<SessionLog> numbered(long clubId, long lifterId, long id) {
        return read(ROWS + "and s.id = ? order by l.id", clubId, lifterId, id).stream()
                .findFirst();
    }

    /** The session of a planned day; empty when it has not begun. */
    Optional<SessionLog> of(long clubId, long lifterId, PlannedDay day) {
        return read(
                        ROWS + "and s.plan_day = ? and s.plan_week = ? order by l.id",
                        clubId,
                        lifterId,
                        day.day(),
                        day.week())
                .stream()
                .findFirst();
    }

    /** The planned day that was lifted last; empty before the first. */
    Optional<PlannedDay> lastPlanned(long clubId, long lifterId) {
        return jdbc
                .query(
                        "select plan_day, plan_week from training_session"
                                + " where club_id = ? and lifter_id = ? and plan_day is not null"
                                + " order by held_on desc, id desc limit 1",
                        (row, number) -> new PlannedDay(row.getLong(1), row.getInt(2)),
                        clubId,
                        lifterId)
                .stream()
                .findFirst();
    }

    private static final String GLANCE =
            "select s.lifter_id, s.id, s.held_on, s.plan_day, s.plan_week, s.finished_at, s.pain, s.count_said, s.judgement ";

    /**
     * The sessions of some lifters that answer days of plans, and each one's last whatever it answers; oldest first.
     *
     * @param days the numbers of the days
     */
    List<SessionGlance> glances(long clubId, Collection<Long> lifters, Collection<Long> days) {
        flush();
        Long[] ofLifters = lifters.toArray(Long[]::new);
        return jdbc.query(
                GLANCE + """
                        from training_session s
                        where s.club_id = ? and s.lifter_id = any (?) and s.plan_day = any (?)
                        union\s""" + GLANCE + """
                        from unnest(?) as asked (lifter) cross join lateral (
                          select * from training_session l where l.club_id = ? and l.lifter_id = asked.lifter
                          order by l.held_on desc, l.id desc limit 1) s
                        order by held_on, id""",
                (row, at) -> glance(row),
                clubId,
                ofLifters,
                days.toArray(Long[]::new),
                ofLifters,
                clubId);
    }

    private static SessionGlance glance(ResultSet row) throws SQLException {
        boolean finished = row.getTimestamp("finished_at") != null;
        return new SessionGlance(
                row.getLong("lifter_id"),
                row.getObject("held_on", LocalDate.class),
                planned(row),
                finished,
                Optional.ofNullable(row.getString("judgement"))
                        .filter(judged -> finished)
                        .map(Exposure.Judgement::valueOf),
                row.getString("pain") != null,
                SessionRatings.CountSaid.CUT.name().equals(row.getString("count_said")));
    }

    private static Optional<PlannedDay> planned(ResultSet row) throws SQLException {
        long day = row.getLong("plan_day");
        return row.wasNull() ? Optional.empty() : Optional.of(new PlannedDay(day, row.getInt("plan_week")));
    }

    private List<SessionLog> read(String sql, Object... parameters) {
        flush();
        return jdbc.query(sql, LogReader::logs, parameters);
    }

    /** What was written in this very transaction is read too. */
    private void flush() {
        if (entities.isJoinedToTransaction()) {
            entities.flush();
        }
    }

    private static List<SessionLog> logs(ResultSet rows) throws SQLException {
        return rows.next() ? logsFrom(rows) : List.of();
    }

    /** From the row in hand on; a row without a session holds none. */
    private static List<SessionLog> logsFrom(ResultSet rows) throws SQLException {
        List<SessionLog> logs = new ArrayList<>();
        // the same few lifts and ratings again and again
        Map<String, Lift> lifts = new HashMap<>();
        Map<String, Effort> efforts = new HashMap<>();
        boolean more = rows.getObject("id") != null;
        while (more) {
            long id = rows.getLong("id");
            SessionLog session = session(id, rows);
            List<DoneSet> sets = new ArrayList<>();
            List<Instant> times = new ArrayList<>();
            do {
                String task = rows.getString("task");
                if (task != null) {
                    sets.add(lifted(rows, lifts, efforts));
                    times.add(rows.getTimestamp("logged_at").toInstant());
                }
                more = rows.next();
            } while (more && rows.getLong("id") == id);
            logs.add(session.with(sets, times));
        }
        return logs;
    }

    /**
     * The set of a row.
     *
     * @param lifts those read before, by their keys
     * @param efforts those read before, by their codes
     */
    static DoneSet lifted(ResultSet row, Map<String, Lift> lifts, Map<String, Effort> efforts) throws SQLException {
        return new DoneSet(
                TaskKey.parse(row.getString("task")),
                new LiftedSet(
                        lifts.computeIfAbsent(row.getString("lift"), Lift::new),
                        Mass.of(row.getBigDecimal("load"), MassUnit.KG),
                        row.getInt("reps"),
                        efforts.computeIfAbsent(row.getString("effort"), Effort::parse),
                        DetailColumns.details(row)));
    }

    private static SessionLog session(long id, ResultSet row) throws SQLException {
        return new SessionLog(
                id,
                row.getObject("held_on", LocalDate.class),
                planned(row),
                row.getTimestamp("finished_at") != null,
                Optional.ofNullable(row.getString("pain")),
                Optional.ofNullable(row.getString("planned")).flatMap(AskedDay::parse),
                SessionRatings.of(row),
                List.of(),
                List.of());
    }
}
