package dev.yarbel.web.book;

import com.fasterxml.jackson.annotation.JsonIgnore;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.modulith.events.ApplicationModuleListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Numbers a club's finished sessions in the order in which they became known. A number is given out only when the one before it is kept, so that
 * whoever reads on from a number misses none; a session that was corrected gets another.
 */
@Component
class SessionFeed {

    private final JdbcClient jdbc;
    private final Clock clock;

    SessionFeed(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * A finished session.
     *
     * @param number its place in the feed
     * @param toldAt when it became known, as it is now
     */
    record Finished(
            @JsonIgnore long number, long lifter, long session, LocalDate on, Instant finishedAt, Instant toldAt) {}

    @Transactional(readOnly = true)
    public List<Finished> after(long clubId, Collection<Long> lifters, long number, int most) {
        return jdbc.sql("""
                        select f.number, f.lifter_id, f.session_id, s.held_on, s.finished_at, f.told_at
                        from session_feed f join training_session s on s.id = f.session_id and s.club_id = f.club_id
                        where f.club_id = :club and f.number > :number and f.lifter_id = any (:lifters)
                          and s.finished_at is not null
                        order by f.number limit :most""")
                .param("club", clubId)
                .param("number", number)
                .param("lifters", lifters.toArray(Long[]::new))
                .param("most", most)
                .query((row, at) -> new Finished(
                        row.getLong(1),
                        row.getLong(2),
                        row.getLong(3),
                        row.getObject(4, LocalDate.class),
                        row.getTimestamp(5).toInstant(),
                        row.getTimestamp(6).toInstant()))
                .list();
    }

    @ApplicationModuleListener
    void on(SessionFinished event) {
        jdbc.sql("""
                        with next as (
                          insert into session_feed_end (club_id, number) values (:club, 1)
                          on conflict (club_id) do update set number = session_feed_end.number + 1 returning number)
                        insert into session_feed (session_id, club_id, lifter_id, number, told_at)
                        select s.id, s.club_id, s.lifter_id, next.number, :now from training_session s, next
                        where s.club_id = :club and s.id = :session and s.finished_at is not null
                        on conflict (session_id) do update set number = excluded.number, told_at = excluded.told_at""")
                .param("club", event.clubId())
                .param("session", event.sessionId())
                .param("now", Timestamp.from(clock.instant()))
                .update();
    }

    /** Those that came in a file, by their days. */
    @ApplicationModuleListener
    void on(LogImported event) {
        jdbc.sql("""
                        with untold as (
                          select s.id, s.lifter_id, row_number() over (order by s.held_on, s.id) as place
                          from training_session s
                          where s.club_id = :club and s.lifter_id = any (:lifters) and s.finished_at is not null
                            and not exists (select 1 from session_feed f where f.session_id = s.id)),
                        moved as (
                          insert into session_feed_end (club_id, number) select :club, count(*) from untold
                          on conflict (club_id) do update set number = session_feed_end.number + excluded.number
                          returning number)
                        insert into session_feed (session_id, club_id, lifter_id, number, told_at)
                        select u.id, :club, u.lifter_id, moved.number - (select count(*) from untold) + u.place, :now
                        from untold u, moved
                        on conflict (session_id) do nothing""")
                .param("club", event.clubId())
                .param("lifters", event.lifterIds().toArray(Long[]::new))
                .param("now", Timestamp.from(clock.instant()))
                .update();
    }
}
