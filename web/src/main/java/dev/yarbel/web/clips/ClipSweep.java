package dev.yarbel.web.clips;

import java.io.IOException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Does away with clips that are older than their club keeps them, and with files that are no clip of anybody's any more. */
@Component
class ClipSweep {

    private static final Logger LOG = LoggerFactory.getLogger(ClipSweep.class);
    /** A file that is being kept has no row yet. */
    private static final Duration YOUNG = Duration.ofHours(1);

    private final JdbcTemplate jdbc;
    private final ClipStore store;
    private final Clock clock;

    ClipSweep(JdbcTemplate jdbc, ClipStore store, Clock clock) {
        this.jdbc = jdbc;
        this.store = store;
        this.clock = clock;
    }

    @Scheduled(initialDelay = 2, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
    void sweep() {
        jdbc.update("""
                delete from clip using club
                where club.id = clip.club_id and clip.added_at < ?::timestamptz - make_interval(days => club.clip_days)""", Timestamp.from(clock.instant()));
        try {
            // by the disk's own clock, which is what its files go by
            List<UUID> lying = store.before(Instant.now().minus(YOUNG));
            Set<UUID> kept = new HashSet<>(jdbc.queryForList(
                    "select file from clip union all select preview from clip where preview is not null", UUID.class));
            for (UUID file : lying) {
                if (!kept.contains(file)) {
                    store.delete(file);
                }
            }
        } catch (IOException away) {
            LOG.warn("The store of clips could not be swept.", away);
        }
    }
}
