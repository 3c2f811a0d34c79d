package dev.yarbel.web.book;

import java.util.concurrent.TimeUnit;
import org.springframework.modulith.events.ApplicationModuleListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Keeps what is believed of a lifter with each session they finish; and once the application has started, and every hour from then on, what another version
 * of the estimator or a correction left to be done.
 */
@Component
class StrengthKeeper {

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

    @Scheduled(initialDelay = 0, fixedDelay = 1, timeUnit = TimeUnit.HOURS)
    void catchUp() {
        kept.behind().forEach(lifter -> book.keepStrength(lifter.clubId(), lifter.lifterId()));
    }
}
