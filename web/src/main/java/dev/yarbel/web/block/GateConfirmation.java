package dev.yarbel.web.block;

import dev.yarbel.core.review.Gate;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;

/** A gate of one slot that a coach opened in their own name, with the spotter they named. */
@Entity
class GateConfirmation {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private long slotId;

    @Enumerated(EnumType.STRING)
    private Gate gate;

    private String spotter;
    private String confirmedBy;
    private Instant confirmedAt;

    protected GateConfirmation() {}

    GateConfirmation(long clubId, long lifterId, long slotId, Gate gate, String spotter, String by, Instant at) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.slotId = slotId;
        this.gate = gate;
        this.spotter = spotter;
        this.confirmedBy = by;
        this.confirmedAt = at;
    }

    long slotId() {
        return slotId;
    }

    Gate gate() {
        return gate;
    }

    String spotter() {
        return spotter;
    }
}
