package dev.yarbel.web.book;

import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.modulith.events.ApplicationModuleListener;
import org.springframework.scheduling.annotation.Async;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Keeps what is believed of a lifter with each session they finish; and once the application has started, and every hour from then on, what another version
 * of the estimator or a correction left to be done.
 */
@Component
class StrengthKeeper {

    private static final Logger LOG = LoggerFactory.getLogger(StrengthKeeper.class);

    private final Book book;
    private final KeptStrength kept;

    StrengthKeeper(Book book, KeptStrength kept) {
        this.book = book;
        this.kept = kept;
    }

    @ApplicationModuleListener
    void on(SessionFinished event) {
        book.keepStrength(event.clubId(), event.lifterId());
    }

    /** One lifter after the other, each in a transaction of their own: years of a whole club are no reason for anybody to wait. */
    @Async
    @TransactionalEventListener
    void on(LogImported event) {
        event.lifterIds().forEach(lifter -> catchUp(new KeptStrength.Behind(event.clubId(), lifter)));
    }

    @Scheduled(initialDelay = 0, fixedDelay = 1, timeUnit = TimeUnit.HOURS)
    void catchUp() {
        kept.behind().forEach(this::catchUp);
    }

    /** What fails for one lifter keeps no other waiting. */
    private void catchUp(KeptStrength.Behind lifter) {
        try {
            book.keepStrength(lifter.clubId(), lifter.lifterId());
        } catch (RuntimeException failed) {
            LOG.warn("what is believed of lifter {} is not kept yet", lifter.lifterId(), failed);
        }
    }
}
