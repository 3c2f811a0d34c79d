package dev.yarbel.web.plan;

import dev.yarbel.core.lift.Lift;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

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

    protected SlotEntity() {}

    SlotEntity(long clubId, long blockDayId, int position, String letter, Lift lift) {
        this.clubId = clubId;
        this.blockDayId = blockDayId;
        this.position = position;
        this.letter = letter;
        this.lift = lift;
    }

    long id() {
        return id;
    }

    String letter() {
        return letter;
    }

    Lift lift() {
        return lift;
    }
}
