package dev.yarbel.web.exchange;

import dev.yarbel.web.page.Person;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.zip.GZIPInputStream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Files of lifters and clubs that somebody brought. What is in them is kept until they are taken in, thrown away, or another is
 * brought, and no longer than a day; of one that was taken in only what came of it.
 */
@Component
class FileStore {

    private static final int LATEST = 5;
    private static final Duration KEPT = Duration.ofDays(1);

    private static final String WHOSE = " where club_id = ? and account_id = ?";

    private final JdbcTemplate jdbc;
    private final Clock clock;

    FileStore(JdbcTemplate jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** How far one is. */
    enum Status {
        OPEN,
        TAKING,
        TAKEN,
        TAKEN_BACK
    }

    /**
     * One that was brought.
     *
     * @param size of what is in it, in bytes
     * @param lifters who came in with it
     * @param came what else did, as JSON
     */
    record Stored(
            long id,
            String name,
            Instant at,
            long size,
            Status status,
            Instant since,
            List<Long> lifters,
            String came) {

        private static Stored of(ResultSet row) throws SQLException {
            return new Stored(
                    row.getLong("id"),
                    row.getString("name"),
                    row.getTimestamp("brought_at").toInstant(),
                    row.getLong("size"),
                    Status.valueOf(row.getString("status")),
                    row.getTimestamp("status_at").toInstant(),
                    List.copyOf(Arrays.asList((Long[]) row.getArray("lifters").getArray())),
                    row.getString("came"));
        }
    }

    /** What was left lying is thrown away, whoever brought it: it is all that is kept of somebody. */
    @Scheduled(initialDelay = 1, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
    void throwOldAway() {
        jdbc.update(
                "delete from brought_file where status = 'OPEN' and brought_at < ?",
                Timestamp.from(clock.instant().minus(KEPT)));
    }

    /** Keeps one; what the same person brought before and did not take in goes. */
    long keep(Person who, String name, long size, byte[] packed) {
        jdbc.update("delete from brought_file" + WHOSE + " and status = 'OPEN'", who.clubId(), who.accountId());
        return jdbc.queryForObject(
                """
                insert into brought_file (club_id, account_id, name, brought_at, size, content, status, status_at)
                values (?, ?, ?, ?, ?, ?, 'OPEN', ?) returning id""",
                Long.class,
                who.clubId(),
                who.accountId(),
                name,
                Timestamp.from(clock.instant()),
                size,
                packed,
                Timestamp.from(clock.instant()));
    }

    Optional<Stored> find(Person who, long id) {
        return jdbc
                .query(
                        "select * from brought_file" + WHOSE + " and id = ?",
                        (row, number) -> Stored.of(row),
                        who.clubId(),
                        who.accountId(),
                        id)
                .stream()
                .findFirst();
    }

    /** Those that somebody brought last, whatever became of them. */
    List<Stored> latest(Person who) {
        return jdbc.query(
                "select * from brought_file" + WHOSE + " order by id desc limit ?",
                (row, number) -> Stored.of(row),
                who.clubId(),
                who.accountId(),
                LATEST);
    }

    /** What is in one. */
    InputStream content(Person who, long id) {
        List<byte[]> packed = jdbc.queryForList(
                "select content from brought_file" + WHOSE + " and id = ? and content is not null",
                byte[].class,
                who.clubId(),
                who.accountId(),
                id);
        try {
            return packed.isEmpty()
                    ? InputStream.nullInputStream()
                    : new GZIPInputStream(new ByteArrayInputStream(packed.get(0)));
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** Moves one on; whether it was where it is to move from. */
    boolean move(Person who, long id, Status from, Status to) {
        return jdbc.update(
                        "update brought_file set status = ?, status_at = ?" + WHOSE + " and id = ? and status = ?",
                        to.name(),
                        Timestamp.from(clock.instant()),
                        who.clubId(),
                        who.accountId(),
                        id,
                        from.name())
                > 0;
    }

    /** What came of one; what was in it need not be kept any longer. */
    void took(Person who, long id, List<Long> lifters, String came) {
        jdbc.update(
                "update brought_file set content = null, lifters = ?, came = ?::jsonb" + WHOSE + " and id = ?",
                lifters.toArray(Long[]::new),
                came,
                who.clubId(),
                who.accountId(),
                id);
    }

    /** Who of those that came was put away again. */
    void tookBack(Person who, long id, List<Long> lifters) {
        jdbc.update(
                "update brought_file set lifters = ?" + WHOSE + " and id = ?",
                lifters.toArray(Long[]::new),
                who.clubId(),
                who.accountId(),
                id);
    }

    void remove(Person who, long id) {
        jdbc.update(
                "delete from brought_file" + WHOSE + " and id = ? and status in ('OPEN', 'TAKEN_BACK')",
                who.clubId(),
                who.accountId(),
                id);
    }
}
