package dev.yarbel.web.kit;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

@Entity
@Table(name = "gym")
class GymEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private String name;
    private Mass collars;

    @Enumerated(EnumType.STRING)
    private MassUnit unit;

    private Instant removedAt;

    protected GymEntity() {}

    GymEntity(long clubId, String name, Mass collars, MassUnit unit) {
        this.clubId = clubId;
        this.name = name;
        this.collars = collars;
        this.unit = unit;
    }

    public long id() {
        return id;
    }

    public String name() {
        return name;
    }

    public Mass collars() {
        return collars;
    }

    public MassUnit unit() {
        return unit;
    }

    void change(String newName, Mass newCollars, MassUnit newUnit) {
        name = newName;
        collars = newCollars;
        unit = newUnit;
    }

    void remove(Instant at) {
        removedAt = at;
    }

    boolean isRemoved() {
        return removedAt != null;
    }
}
