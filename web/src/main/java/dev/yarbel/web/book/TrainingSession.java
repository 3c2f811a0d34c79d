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
    private long planDay;
    private int planWeek;
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

    void finish(Instant at, String painNoted) {
        finishedAt = at;
        pain = painNoted;
    }
}
