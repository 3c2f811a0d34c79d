package dev.yarbel.web.calls;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;

@Entity
class Slip {

    enum Status {
        OPEN,
        TAKEN,
        CHANGED,
        LEFT
    }

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private Lift lift;
    private long sessionId;

    @Enumerated(EnumType.STRING)
    private Status status;

    private Instant openedAt;
    private Mass before;
    private Mass proposed;
    private Instant answeredAt;
    private Long answeredBy;

    protected Slip() {}

    long id() {
        return id;
    }

    long lifterId() {
        return lifterId;
    }

    Lift lift() {
        return lift;
    }

    long sessionId() {
        return sessionId;
    }

    Instant openedAt() {
        return openedAt;
    }

    Mass before() {
        return before;
    }

    Mass proposed() {
        return proposed;
    }

    boolean isOpen() {
        return status == Status.OPEN;
    }

    /** How, when and by which account it was answered. */
    record Answer(Status status, Instant at, long by) {}

    Optional<Answer> answer() {
        return isOpen() ? Optional.empty() : Optional.of(new Answer(status, answeredAt, answeredBy));
    }

    void answer(Status answer, Instant at, long by) {
        status = answer;
        answeredAt = at;
        answeredBy = by;
    }
}
