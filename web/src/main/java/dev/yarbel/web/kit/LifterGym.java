package dev.yarbel.web.kit;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;

/** A gym that a lifter uses; the one of the lowest position is the usual one. */
@Entity
class LifterGym {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private long gymId;
    private int position;
    private Long barId;

    protected LifterGym() {}

    LifterGym(long clubId, long lifterId, long gymId, int position) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.gymId = gymId;
        this.position = position;
    }

    public long gymId() {
        return gymId;
    }

    int position() {
        return position;
    }

    void position(int place) {
        position = place;
    }

    public Long barId() {
        return barId;
    }

    void bar(Long bar) {
        barId = bar;
    }
}
