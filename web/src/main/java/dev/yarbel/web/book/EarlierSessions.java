package dev.yarbel.web.book;

import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Sessions that were finished before sessions were judged are judged once the application has started, some at a time. */
@Component
class EarlierSessions {

    private final Sessions sessions;
    private final JdbcClient jdbc;

    EarlierSessions(Sessions sessions, JdbcClient jdbc) {
        this.sessions = sessions;
        this.jdbc = jdbc;
    }

    @Scheduled(initialDelay = 0)
    void judge() {
        jdbc.sql("""
                select distinct club_id from training_session
                where judgement is null and finished_at is not null and planned <> ''""").query(Long.class).list().forEach(this::judge);
    }

    private void judge(long club) {
        Optional<Long> last = Optional.of(0L);
        while (last.isPresent()) {
            last = sessions.judgeEarlier(club, last.get());
        }
    }
}
