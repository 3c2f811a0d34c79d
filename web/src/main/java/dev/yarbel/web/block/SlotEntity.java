package dev.yarbel.web.block;

import dev.yarbel.core.block.Slot;
import dev.yarbel.core.lift.Lift;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;

@Entity
@Table(name = "slot")
class SlotEntity {

    @Id
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

    SlotEntity(long clubId, long dayId, Slot slot) {
        this.clubId = clubId;
        this.id = slot.id().number();
        this.blockDayId = dayId;
        this.letter = slot.letter();
        this.lift = slot.lift();
    }

    /** What stands in it, at its place in the day; it is there, or there again. */
    void set(int place, Slot slot) {
        position = place;
        letter = slot.letter();
        lift = slot.lift();
        school = slot.school().orElse(null);
        reason = slot.reason().orElse(null);
        removedAt = null;
    }

    /** Takes it out; nothing of it is lost. */
    void remove(Instant at) {
        removedAt = removedAt == null ? at : removedAt;
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
