package dev.yarbel.web.contest;

import dev.yarbel.core.contest.EventMeasure;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;

/** An event of a strongman contest, as it is announced. */
@Entity
@Table(name = "contest_event")
class EventEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long contestId;
    private String name;
    private Lift lift;

    @Enumerated(EnumType.STRING)
    private EventMeasure measure;

    private Mass load;
    private Instant removedAt;

    protected EventEntity() {}

    EventEntity(ContestEntity contest, String name, Optional<Lift> lift, EventMeasure measure, Optional<Mass> load) {
        this.clubId = contest.clubId();
        this.contestId = contest.id();
        this.name = name;
        this.lift = lift.orElse(null);
        this.measure = measure;
        this.load = load.orElse(null);
    }

    public long id() {
        return id;
    }

    public String name() {
        return name;
    }

    /** What it is trained as; empty where it is none of the club's lifts. */
    public Optional<Lift> lift() {
        return Optional.ofNullable(lift);
    }

    public EventMeasure measure() {
        return measure;
    }

    /** The load announced for it. */
    public Optional<Mass> load() {
        return Optional.ofNullable(load);
    }

    void removed(Instant at) {
        removedAt = at;
    }

    boolean isRemoved() {
        return removedAt != null;
    }
}
