package dev.yarbel.web.contest;

import dev.yarbel.core.lift.Lift;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** When a flight of a lift begins, and the bars there are to warm up for it. */
@Entity
@Table(name = "contest_flight")
class FlightEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long contestId;
    private Lift lift;
    private int flight;
    private Instant startsAt;
    private int bars;
    private int pace;

    protected FlightEntity() {}

    public Lift lift() {
        return lift;
    }

    public int flight() {
        return flight;
    }

    public Instant startsAt() {
        return startsAt;
    }

    public int bars() {
        return bars;
    }

    /** Seconds an attempt takes. */
    public int pace() {
        return pace;
    }
}
