package dev.yarbel.web.book;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.web.page.ManyRows;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;

/** Everything that lifters ever lifted, a set after the other, for whoever takes it along; never held as a whole. */
@Service
public class WholeLog {

    private final ManyRows rows;

    WholeLog(ManyRows rows) {
        this.rows = rows;
    }

    /** A set; whose, and when. */
    public record Logged(long lifterId, LocalDate day, DoneSet done) {}

    /** Hands each set over, by lifter and in the order they were lifted. Whoever calls has asked the roster for the lifters. */
    public void each(long clubId, Collection<Long> lifters, Consumer<Logged> to) {
        Map<String, Lift> lifts = new HashMap<>();
        Map<String, Effort> efforts = new HashMap<>();
        rows.each(
                "select s.lifter_id, s.held_on, " + LogReader.SET
                        + "from training_session s join logged_set l on l.session_id = s.id and l.club_id = s.club_id"
                        + " where s.club_id = ? and s.lifter_id = any (?) order by s.lifter_id, s.held_on, s.id, l.id",
                clubId,
                lifters,
                row -> to.accept(new Logged(
                        row.getLong("lifter_id"),
                        row.getObject("held_on", LocalDate.class),
                        LogReader.lifted(row, lifts, efforts))));
    }
}
