package dev.yarbel.web.book;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface LoggedSetRepository extends Repository<LoggedSet, Long> {

    Optional<LoggedSet> findByClubIdAndSessionIdAndTask(long clubId, long sessionId, String task);

    LoggedSet save(LoggedSet set);
}
