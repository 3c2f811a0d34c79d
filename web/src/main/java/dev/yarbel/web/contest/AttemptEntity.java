package dev.yarbel.web.contest;

import dev.yarbel.core.contest.Attempt;
import dev.yarbel.core.contest.NoLift;
import dev.yarbel.core.contest.Outcome;
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

/** An attempt: named, and then lifted. */
@Entity
@Table(name = "contest_attempt")
class AttemptEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long entryId;
    private Lift lift;
    private int number;
    private Mass load;

    @Enumerated(EnumType.STRING)
    private Outcome outcome;

    private int changes;
    private Instant saidAt;
    private String saidBy;

    @Enumerated(EnumType.STRING)
    private Outcome otherOutcome;

    private String otherBy;

    @Enumerated(EnumType.STRING)
    private NoLift why;

    private Integer lights;

    protected AttemptEntity() {}

    long entryId() {
        return entryId;
    }

    public Lift lift() {
        return lift;
    }

    /** From 1. */
    public int number() {
        return number;
    }

    public Mass load() {
        return load;
    }

    /** Empty while it is still to be lifted. */
    public Optional<Outcome> outcome() {
        return Optional.ofNullable(outcome);
    }

    /** As it was lifted; empty while it was not. */
    Optional<Attempt> lifted() {
        return outcome().map(became -> new Attempt(load, became, why()));
    }

    /** Why it was no good one; empty where nobody said. */
    public Optional<NoLift> why() {
        return Optional.ofNullable(why);
    }

    /** The white ones of the three; empty where nobody said. */
    public Optional<Integer> lights() {
        return Optional.ofNullable(lights);
    }

    /** How often it was named otherwise. */
    public int changes() {
        return changes;
    }

    public Instant saidAt() {
        return saidAt;
    }

    public String saidBy() {
        return saidBy;
    }

    /** What somebody else said of it who did not know. */
    public Optional<Outcome> otherOutcome() {
        return Optional.ofNullable(otherOutcome);
    }

    public String otherBy() {
        return otherBy;
    }
}
