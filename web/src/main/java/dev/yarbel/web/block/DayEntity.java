package dev.yarbel.web.block;

import dev.yarbel.core.block.TrainingDay;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

@Entity
@Table(name = "block_day")
class DayEntity {

    @Id
    private Long id;

    private long clubId;
    private long blockId;
    private int position;
    private String name;
    private int dayOffset;
    private Instant removedAt;

    protected DayEntity() {}

    DayEntity(long clubId, long id, long blockId, TrainingDay day) {
        this.clubId = clubId;
        this.id = id;
        this.blockId = blockId;
        this.name = day.name();
    }

    /** What stands in it, at its place among the days; it is there, or there again. */
    void set(int place, TrainingDay day) {
        position = place;
        name = day.name();
        dayOffset = day.offset();
        removedAt = null;
    }

    /** Takes it out; nothing of it is lost. */
    void remove(Instant at) {
        removedAt = removedAt == null ? at : removedAt;
    }

    long id() {
        return id;
    }

    int position() {
        return position;
    }

    String name() {
        return name;
    }

    int dayOffset() {
        return dayOffset;
    }

    boolean isRemoved() {
        return removedAt != null;
    }
}
