package dev.yarbel.web.plan;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.recovery.RecoveryFigures;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.util.Optional;

/** A figure of recovery that a club, or a lifter's coach, set: the hours of a lift, or how much of its wake another one feels. */
@Entity
class RecoveryFigure {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private Long lifterId;
    private String lift;
    private String thenLift;
    private int figure;

    protected RecoveryFigure() {}

    long id() {
        return id;
    }

    /** Whether it holds for the whole club. */
    boolean isOfClub() {
        return lifterId == null;
    }

    Lift lift() {
        return new Lift(lift);
    }

    Optional<Lift> then() {
        return Optional.ofNullable(thenLift).map(Lift::new);
    }

    /** Hours, or percent. */
    int figure() {
        return figure;
    }

    RecoveryFigures.Pair pair() {
        return new RecoveryFigures.Pair(lift(), then().orElseThrow());
    }

    Percent share() {
        return Percent.of(figure);
    }
}
