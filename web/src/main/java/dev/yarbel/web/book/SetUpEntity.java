package dev.yarbel.web.book;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.SetUpMeasure;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** One measure on a lifter's set-up card for a lift. */
@Entity
@Table(name = "set_up")
class SetUpEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private Lift lift;

    @Enumerated(EnumType.STRING)
    private SetUpMeasure measure;

    private String figure;

    protected SetUpEntity() {}

    SetUpEntity(long clubId, long lifterId, Lift lift, SetUpMeasure measure, String figure) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.lift = lift;
        this.measure = measure;
        this.figure = figure;
    }

    Lift lift() {
        return lift;
    }

    SetUpMeasure measure() {
        return measure;
    }

    String figure() {
        return figure;
    }

    void figure(String now) {
        figure = now;
    }
}
