package dev.yarbel.web.plan;

import dev.yarbel.core.lift.Lift;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;

@Entity
@Table(name = "slot")
class SlotEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long blockDayId;
    private int position;
    private String letter;
    private Lift lift;
    private String school;
    private String reason;
    private Instant removedAt;

    protected SlotEntity() {}

    SlotEntity(long clubId, long blockDayId, int position, String letter, Lift lift) {
        this.clubId = clubId;
        this.blockDayId = blockDayId;
        this.position = position;
        this.letter = letter;
        this.lift = lift;
    }

    /** Not there yet, or not any more; nothing of it is lost. */
    SlotEntity removed(Instant at) {
        removedAt = at;
        return this;
    }

    SlotEntity set(int place, String called, Lift with, Optional<String> ofSchool, Optional<String> why) {
        position = place;
        letter = called;
        lift = with;
        school = ofSchool.orElse(null);
        reason = why.orElse(null);
        return this;
    }

    long id() {
        return id;
    }

    long dayId() {
        return blockDayId;
    }

    int position() {
        return position;
    }

    String letter() {
        return letter;
    }

    Lift lift() {
        return lift;
    }

    Optional<String> school() {
        return Optional.ofNullable(school);
    }

    Optional<String> reason() {
        return Optional.ofNullable(reason);
    }

    boolean isRemoved() {
        return removedAt != null;
    }
}
