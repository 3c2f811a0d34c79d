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

    LoggedSet save(LoggedSet set);
}
