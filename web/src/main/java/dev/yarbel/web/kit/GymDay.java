package dev.yarbel.web.kit;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.LocalDate;

/** Where a lifter trains on one day, away from their usual gym. */
@Entity
class GymDay {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private LocalDate onDate;
    private long gymId;

    protected GymDay() {}

    GymDay(long clubId, long lifterId, LocalDate onDate, long gymId) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.onDate = onDate;
        this.gymId = gymId;
    }

    void gym(long gym) {
        gymId = gym;
    }
}
