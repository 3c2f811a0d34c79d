package dev.yarbel.web.book;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

@Entity
class LoggedSet {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long sessionId;
    private UUID token;
    private String task;
    private Lift lift;
    private Mass load;
    private int reps;
    private String effort;
    private Instant loggedAt;
    private Instant receivedAt;

    @Embedded
    private DetailColumns details;

    protected LoggedSet() {}

    LoggedSet(long clubId, long sessionId, UUID token, DoneSet done, Instant loggedAt, Instant receivedAt) {
        this.clubId = clubId;
        this.sessionId = sessionId;
        this.token = token;
        this.task = done.task().toString();
        this.loggedAt = loggedAt;
        this.receivedAt = receivedAt;
        set(done.set());
    }

    void set(LiftedSet set) {
        this.lift = set.lift();
        this.load = set.load();
        this.reps = set.reps();
        this.effort = set.effort().code();
        this.details = new DetailColumns(set.details());
    }

    /** It was another set of the day. */
    void task(TaskKey key) {
        task = key.toString();
    }

    DoneSet done() {
        return new DoneSet(TaskKey.parse(task), new LiftedSet(lift, load, reps, Effort.parse(effort), details()));
    }

    private SetDetails details() {
        return details == null ? SetDetails.NONE : details.details();
    }

    long id() {
        return id;
    }

    long sessionId() {
        return sessionId;
    }

    UUID token() {
        return token;
    }
}
