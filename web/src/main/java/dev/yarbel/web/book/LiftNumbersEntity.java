package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.lift.Consistency;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.math.BigDecimal;
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
    private String repCurve;

    @Enumerated(EnumType.STRING)
    private Mastery mastery;

    private LocalDate practisedSince;

    @Enumerated(EnumType.STRING)
    private Consistency consistency;

    private Percent ratio;
    private Mass eventLoad;
    private BigDecimal ratingBias;
    private String ratingBiasWhy;

    @Version
    private int version;

    protected LiftNumbersEntity() {}

    LiftNumbersEntity(long clubId, long lifterId, Lift lift) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.lift = lift;
    }

    long id() {
        return id;
    }

    long lifterId() {
        return lifterId;
    }

    Lift lift() {
        return lift;
    }

    Optional<Mass> workingMax() {
        return Optional.ofNullable(workingMax);
    }

    Optional<Mastery> mastery() {
        return Optional.ofNullable(mastery);
    }

    void mastery(Mastery decided) {
        mastery = decided;
    }

    Optional<LocalDate> practisedSince() {
        return Optional.ofNullable(practisedSince);
    }

    void practisedSince(LocalDate day) {
        practisedSince = day;
    }

    Optional<Consistency> consistency() {
        return Optional.ofNullable(consistency);
    }

    void consistency(Consistency seen) {
        consistency = seen;
    }

    /** The coach's ratio to the parent lift. */
    Optional<Percent> ratio() {
        return Optional.ofNullable(ratio);
    }

    void ratio(Percent share) {
        ratio = share;
    }

    /** The load announced for the contest. */
    Optional<Mass> eventLoad() {
        return Optional.ofNullable(eventLoad);
    }

    void eventLoad(Mass announced) {
        eventLoad = announced;
    }

    /** The curve the coach decided on; empty where it is learnt. */
    Optional<RepCurve> decidedCurve() {
        return Optional.ofNullable(repCurve).map(RepCurve::parse);
    }

    void decideCurve(Optional<RepCurve> curve) {
        repCurve = curve.map(RepCurve::key).orElse(null);
    }

    /** How ratings of it and its variations lean where the coach decided that. */
    Optional<DecidedBias> decidedBias() {
        return Optional.ofNullable(ratingBias).map(reps -> new DecidedBias(reps, ratingBiasWhy));
    }

    void decideBias(Optional<DecidedBias> bias) {
        ratingBias = bias.map(DecidedBias::reps).orElse(null);
        ratingBiasWhy = bias.map(DecidedBias::why).orElse(null);
    }

    void workingMax(Mass max) {
        workingMax = max;
    }
}
