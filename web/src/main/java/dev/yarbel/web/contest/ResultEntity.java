package dev.yarbel.web.contest;

import dev.yarbel.core.contest.EventMeasure;
import dev.yarbel.core.contest.EventResult;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** What somebody did in an event, or is expected to. */
@Entity
@Table(name = "contest_result")
class ResultEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long eventId;
    private long entryId;
    private String written;
    private Instant saidAt;
    private String saidBy;

    protected ResultEntity() {}

    long eventId() {
        return eventId;
    }

    long entryId() {
        return entryId;
    }

    /** Who said so. */
    String saidBy() {
        return saidBy;
    }

    /** As it was typed. */
    String written() {
        return written;
    }

    EventResult result(EventMeasure measure) {
        return EventResult.parse(written, measure);
    }
}
