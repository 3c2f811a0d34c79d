package dev.yarbel.web.floor;

import dev.yarbel.web.book.PlannedDay;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;

/** A sensor that may be paired with one session, and once it is, may send readings for it. */
@Entity
class SpeedSensor {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private long planDay;
    private int planWeek;
    private String codeHash;
    private String keyHash;
    private Instant madeAt;
    private Instant pairedAt;

    protected SpeedSensor() {}

    SpeedSensor(long clubId, long lifterId, PlannedDay day, String codeHash, Instant madeAt) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.planDay = day.day();
        this.planWeek = day.week();
        this.codeHash = codeHash;
        this.madeAt = madeAt;
    }

    void pair(String hash, Instant at) {
        keyHash = hash;
        pairedAt = at;
    }

    long id() {
        return id;
    }

    long clubId() {
        return clubId;
    }

    long lifterId() {
        return lifterId;
    }

    PlannedDay day() {
        return new PlannedDay(planDay, planWeek);
    }

    Instant madeAt() {
        return madeAt;
    }

    boolean isPaired() {
        return pairedAt != null;
    }
}
