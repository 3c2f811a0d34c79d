package dev.yarbel.web.book;

import dev.yarbel.core.adjust.AskLifter.Asking;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.session.TaskKey;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;

/** A question about a logged set that a coach put to a lifter. */
@Entity
class LifterQuestion {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private long sessionId;
    private String task;

    @Enumerated(EnumType.STRING)
    private Asking kind;

    private Mass otherLoad;
    private Instant askedAt;
    private String askedByName;
    private Instant answeredAt;
    private String answer;

    protected LifterQuestion() {}

    LifterQuestion(long clubId, long lifterId, long sessionId, TaskKey task, Asking kind) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.sessionId = sessionId;
        this.task = task.toString();
        this.kind = kind;
    }

    LifterQuestion asked(Instant at, String by, Optional<Mass> other) {
        askedAt = at;
        askedByName = by;
        otherLoad = other.orElse(null);
        return this;
    }

    long id() {
        return id;
    }

    long sessionId() {
        return sessionId;
    }

    TaskKey task() {
        return TaskKey.parse(task);
    }

    Asking kind() {
        return kind;
    }

    Optional<Mass> otherLoad() {
        return Optional.ofNullable(otherLoad);
    }

    String askedByName() {
        return askedByName;
    }

    boolean isOpen() {
        return answeredAt == null;
    }

    void answer(String what, Instant at) {
        answer = what;
        answeredAt = at;
    }
}
