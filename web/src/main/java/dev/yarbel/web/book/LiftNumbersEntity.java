package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.estimate.StartingMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.Optional;

@Entity
@Table(name = "lift_numbers")
class LiftNumbersEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private Lift lift;
    private Mass workingMax;
    private Mass startingMax;
    private LocalDate startingOn;
    private String repCurve;

    @Version
    private int version;

    protected LiftNumbersEntity() {}

    LiftNumbersEntity(long clubId, long lifterId, Lift lift) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.lift = lift;
    }

    Lift lift() {
        return lift;
    }

    Optional<Mass> workingMax() {
        return Optional.ofNullable(workingMax);
    }

    Optional<StartingMax> start() {
        return Optional.ofNullable(startingMax).map(max -> new StartingMax(max, startingOn));
    }

    RepCurve curve() {
        return repCurve == null ? RepCurve.DEFAULT : RepCurve.parse(repCurve);
    }

    void curve(RepCurve curve) {
        repCurve = curve.key();
    }

    void workingMax(Mass max) {
        workingMax = max;
    }

    void start(StartingMax start) {
        startingMax = start.max();
        startingOn = start.since();
    }
}
