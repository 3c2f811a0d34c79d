package dev.yarbel.web.plan;

import dev.yarbel.core.prescription.Dose;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;

@Entity
class DoseCell {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long slotId;
    private int week;
    private String shorthand;

    @Version
    private int version;

    protected DoseCell() {}

    DoseCell(long clubId, long slotId, int week, Dose dose) {
        this.clubId = clubId;
        this.slotId = slotId;
        this.week = week;
        this.shorthand = dose.shorthand();
    }

    long slotId() {
        return slotId;
    }

    int week() {
        return week;
    }

    Dose dose() {
        return Dose.parse(shorthand);
    }

    void dose(Dose dose) {
        shorthand = dose.shorthand();
    }
}
