package dev.yarbel.web.exchange;

import dev.yarbel.web.page.Person;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** What came in at once from a list, by its numbers, so that whoever brought it takes all of it away again at once. */
@Component
class Batches {

    private static final int LATEST = 5;

    /** What came in. */
    enum Of {
        LIFTERS,
        KIT
    }

    /** One that was brought before. */
    record Before(long id, Instant at, int count, boolean takenBack) {

        static Before of(ResultSet row) throws SQLException {
            return new Before(
                    row.getLong("id"),
                    row.getTimestamp("brought_at").toInstant(),
                    row.getInt("count"),
                    row.getBoolean("back"));
        }
    }

    private final JdbcTemplate jdbc;
    private final Clock clock;

    Batches(JdbcTemplate jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    void keep(Person coach, Of of, List<Long> numbers) {
        jdbc.update(
                "insert into brought_batch (club_id, account_id, kind, brought_at, numbers) values (?, ?, ?, ?, ?)",
                coach.clubId(),
                coach.accountId(),
                of.name(),
                Timestamp.from(clock.instant()),
                numbers.toArray(Long[]::new));
    }

    /** Those that somebody brought last. */
    List<Before> latest(Person coach, Of of) {
        return jdbc.query("""
                select id, brought_at, cardinality(numbers) as count, taken_back_at is not null as back
                from brought_batch where club_id = ? and account_id = ? and kind = ? order by id desc limit ?""", (row, number) -> Before.of(row), coach.clubId(), coach.accountId(), of.name(), LATEST);
    }

    /** The numbers of one that is taken back now; none where it was before, or is another's. */
    List<Long> takeBack(Person coach, Of of, long id) {
        return jdbc
                .query(
                        """
                        update brought_batch set taken_back_at = ?
                        where club_id = ? and account_id = ? and kind = ? and id = ? and taken_back_at is null returning numbers""",
                        (row, number) ->
                                Arrays.asList((Long[]) row.getArray("numbers").getArray()),
                        Timestamp.from(clock.instant()),
                        coach.clubId(),
                        coach.accountId(),
                        of.name(),
                        id)
                .stream()
                .flatMap(List::stream)
                .toList();
    }
}
