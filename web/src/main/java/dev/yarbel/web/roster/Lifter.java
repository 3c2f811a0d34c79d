package dev.yarbel.web.roster;

import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.MassUnit;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.math.BigDecimal;
import java.time.LocalDate;

@Entity
class Lifter {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private String name;
    private long coachId;
    private long kitId;

    @Enumerated(EnumType.STRING)
    private MassUnit unit;

    @Enumerated(EnumType.STRING)
    private Rounding rounding;

    private BigDecimal shareOfEstimate;
    private LocalDate noviceSince;

    protected Lifter() {}

    Lifter(NewLifter lifter) {
        this.clubId = lifter.clubId();
        this.name = lifter.name();
        this.coachId = lifter.coachId();
        this.kitId = lifter.kitId();
        this.unit = lifter.unit();
        this.rounding = lifter.rounding();
        this.shareOfEstimate = lifter.shareOfEstimate().figure();
        this.noviceSince = lifter.noviceSince().orElse(null);
    }

    LifterCard card() {
        return LifterCard.of(id, clubId, name, kitId, unit, rounding, shareOfEstimate, noviceSince);
    }
}
