package dev.yarbel.web.plan;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

@Entity
@Table(name = "block_day")
class DayEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long blockId;
    private int position;
    private String name;
    private int dayOffset;
    private Instant removedAt;

    protected DayEntity() {}

    DayEntity(long clubId, long blockId, int position, String name, int dayOffset) {
        this.clubId = clubId;
        this.blockId = blockId;
        this.position = position;
        this.name = name;
        this.dayOffset = dayOffset;
    }

    /** Not there yet, or not any more; nothing of it is lost. */
    DayEntity removed(Instant at) {
        removedAt = at;
        return this;
    }

    void set(int place, String called, int offset) {
        position = place;
        name = called;
        dayOffset = offset;
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
