package dev.yarbel.web.book;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LoggedSetRepository extends Repository<LoggedSet, Long> {

    Optional<LoggedSet> findByClubIdAndSessionIdAndTask(long clubId, long sessionId, String task);

    Optional<LoggedSet> findByClubIdAndToken(long clubId, UUID token);

    List<LoggedSet> findByClubIdAndTokenIn(long clubId, Collection<UUID> tokens);

    List<LoggedSet> findByClubIdAndSessionIdOrderById(long clubId, long sessionId);

    @Query("select max(l.loggedAt) from LoggedSet l where l.clubId = :clubId and l.sessionId = :sessionId")
    Instant lastLogged(long clubId, long sessionId);

    /** A set with the day of its session. */
    @Query("""
            select l, s.heldOn from LoggedSet l join TrainingSession s on s.clubId = l.clubId and s.id = l.sessionId
            where l.clubId = :clubId and s.lifterId = :lifterId and s.id = :session and l.task = :task""")
    List<Object[]> findNamed(long clubId, long lifterId, long session, String task);

    /** Sets with the days of their sessions. */
    @Query("""
            select l, s.heldOn from LoggedSet l join TrainingSession s on s.clubId = l.clubId and s.id = l.sessionId
            where l.clubId = :clubId and s.lifterId = :lifterId and l.token in :tokens order by l.id""")
    List<Object[]> findNamed(long clubId, long lifterId, Collection<UUID> tokens);

    LoggedSet save(LoggedSet set);
}
