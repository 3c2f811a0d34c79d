package dev.yarbel.web.book;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.session.DoneSet;
import java.sql.PreparedStatement;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Consumer;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Everything that lifters ever lifted, a set after the other, for whoever takes it along; never held as a whole. */
@Service
public class WholeLog {

    private static final int ROWS_AT_ONCE = 1000;

    private final JdbcTemplate jdbc;

    WholeLog(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** A set; whose, and when. */
    public record Logged(long lifterId, LocalDate day, DoneSet done) {}

    /** Hands each set over, by lifter and in the order they were lifted. Whoever calls has asked the roster for the lifters. */
    @Transactional(readOnly = true)
    public void each(long clubId, Collection<Long> lifters, Consumer<Logged> to) {
        Map<String, Lift> lifts = new HashMap<>();
        Map<String, Effort> efforts = new HashMap<>();
        jdbc.query(
                connection -> {
                    PreparedStatement rows = connection.prepareStatement(
                            "select s.lifter_id, s.held_on, " + LogReader.SET
                                    + "from training_session s join logged_set l on l.session_id = s.id and l.club_id = s.club_id"
                                    + " where s.club_id = ? and s.lifter_id = any (?) order by s.lifter_id, s.held_on, s.id, l.id");
                    rows.setLong(1, clubId);
                    rows.setArray(2, connection.createArrayOf("bigint", lifters.toArray()));
                    rows.setFetchSize(ROWS_AT_ONCE);
                    return rows;
                },
                (RowCallbackHandler) row -> to.accept(new Logged(
                        row.getLong("lifter_id"),
                        row.getObject("held_on", LocalDate.class),
                        LogReader.lifted(row, lifts, efforts))));
    }
}
