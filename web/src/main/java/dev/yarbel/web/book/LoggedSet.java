package dev.yarbel.web.book;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
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

    protected LoggedSet() {}

    LoggedSet(long clubId, long sessionId, UUID token, DoneSet done, Instant loggedAt) {
        this.clubId = clubId;
        this.sessionId = sessionId;
        this.token = token;
        this.task = done.task().toString();
        this.loggedAt = loggedAt;
        set(done.set());
    }

    void set(LiftedSet set) {
        this.lift = set.lift();
        this.load = set.load();
        this.reps = set.reps();
        this.effort = set.effort().code();
    }

    DoneSet done() {
        return new DoneSet(TaskKey.parse(task), new LiftedSet(lift, load, reps, Effort.parse(effort)));
    }

    UUID token() {
        return token;
    }
}
