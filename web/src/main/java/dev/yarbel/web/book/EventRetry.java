package dev.yarbel.web.book;

import java.time.Duration;
import org.springframework.modulith.events.IncompleteEventPublications;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** What failed to hear of a finished session hears of it again. */
@Component
class EventRetry {

    private final IncompleteEventPublications publications;

    EventRetry(IncompleteEventPublications publications) {
        this.publications = publications;
    }

    @Scheduled(initialDelayString = "PT1M", fixedDelayString = "PT1M")
    void retry() {
        publications.resubmitIncompletePublicationsOlderThan(Duration.ofMinutes(1));
    }
}
