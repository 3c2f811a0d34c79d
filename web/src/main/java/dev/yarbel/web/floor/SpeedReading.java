package dev.yarbel.web.floor;

import dev.yarbel.core.measure.BarSpeed;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;

/** The speed of one repetition as a sensor sent it. */
@Entity
class SpeedReading {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long sensorId;
    private long number;
    private int speed;
    private Instant measuredAt;
    private Instant receivedAt;

    protected SpeedReading() {}

    BarSpeed speed() {
        return new BarSpeed(speed);
    }

    Instant measuredAt() {
        return measuredAt;
    }
}
