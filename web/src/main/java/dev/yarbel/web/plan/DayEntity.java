package dev.yarbel.web.plan;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

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

    protected DayEntity() {}

    DayEntity(long clubId, long blockId, int position, String name, int dayOffset) {
        this.clubId = clubId;
        this.blockId = blockId;
        this.position = position;
        this.name = name;
        this.dayOffset = dayOffset;
    }

    long id() {
        return id;
    }

    String name() {
        return name;
    }

    int dayOffset() {
        return dayOffset;
    }
}
