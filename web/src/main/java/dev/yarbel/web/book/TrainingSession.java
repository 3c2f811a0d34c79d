package dev.yarbel.web.book;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.LocalDate;

@Entity
class TrainingSession {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private LocalDate heldOn;
    private Long planDay;
    private Integer planWeek;
    private Instant startedAt;
    private Instant finishedAt;
    private String pain;
    private String planned;

    @Embedded
    private SessionRatings ratings;

    protected TrainingSession() {}

    long id() {
        return id;
    }

    SessionRatings ratings() {
        if (ratings == null) {
            ratings = new SessionRatings();
        }
        return ratings;
    }

    Instant finishedAt() {
        return finishedAt;
    }

    /** Ends it; pain that was noted before stays noted. */
    void finish(Instant at, String painNoted) {
        finishedAt = at;
        pain = painNoted == null ? pain : painNoted;
    }

    void reopen() {
        finishedAt = null;
    }

    LocalDate heldOn() {
        return heldOn;
    }
}
