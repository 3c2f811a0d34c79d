package dev.yarbel.web.block;

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

    DoseCell(long clubId, long slotId, int week, String shorthand) {
        this.clubId = clubId;
        this.slotId = slotId;
        this.week = week;
        this.shorthand = shorthand;
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

    String shorthand() {
        return shorthand;
    }

    void shorthand(String canonical) {
        shorthand = canonical;
    }
}
