package dev.yarbel.web.book;

import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.tally.Exposure;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;

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

    @Enumerated(EnumType.STRING)
    private Exposure.Judgement judgement;

    @Embedded
    private SessionRatings ratings;

    protected TrainingSession() {}

    long id() {
        return id;
    }

    long clubId() {
        return clubId;
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

    /** Works out how what was lifted compares with what was asked; nothing is said where nothing was asked. */
    void judge(List<DoneSet> lifted) {
        judgement = planned == null
                ? null
                : AskedDay.parse(planned)
                        .map(asked -> Exposure.judgement(asked.prescriptions(), lifted))
                        .orElse(null);
    }

    void reopen() {
        finishedAt = null;
    }

    LocalDate heldOn() {
        return heldOn;
    }
}
