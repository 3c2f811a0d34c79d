package dev.yarbel.web.book;

import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.modulith.events.IncompleteEventPublications;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** What failed to hear of a finished session hears of it again, from this copy of the application or from another. */
@Component
class EventRetry {

    private final IncompleteEventPublications publications;
    private final Duration patience;

    EventRetry(IncompleteEventPublications publications, @Value("${yarbel.event-retry}") Duration patience) {
        this.publications = publications;
        this.patience = patience;
    }

    @Scheduled(initialDelayString = "${yarbel.event-retry}", fixedDelayString = "${yarbel.event-retry}")
    void retry() {
        publications.resubmitIncompletePublicationsOlderThan(patience);
    }
}
