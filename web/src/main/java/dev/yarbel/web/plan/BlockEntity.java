package dev.yarbel.web.plan;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;

@Entity
@Table(name = "block")
class BlockEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private String name;
    private LocalDate startOn;
    private int weeks;

    protected BlockEntity() {}

    BlockEntity(long clubId, long lifterId, String name, LocalDate startOn, int weeks) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.name = name;
        this.startOn = startOn;
        this.weeks = weeks;
    }

    long id() {
        return id;
    }

    long lifterId() {
        return lifterId;
    }

    /** Whether its last day has passed. */
    boolean isOver(LocalDate today) {
        return !startOn.plusWeeks(weeks).isAfter(today);
    }

    String name() {
        return name;
    }

    LocalDate startOn() {
        return startOn;
    }

    int weeks() {
        return weeks;
    }
}
