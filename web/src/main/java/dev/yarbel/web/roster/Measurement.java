package dev.yarbel.web.roster;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;

/** Something measured on a lifter on a day. */
@Entity
class Measurement {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;

    @Enumerated(EnumType.STRING)
    private MeasureKind kind;

    private LocalDate onDate;
    private BigDecimal figure;
    private Instant removedAt;

    protected Measurement() {}

    Measurement(long clubId, long lifterId, MeasureKind kind, LocalDate onDate, BigDecimal figure) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.kind = kind;
        this.onDate = onDate;
        this.figure = figure;
    }

    public long id() {
        return id;
    }

    long lifterId() {
        return lifterId;
    }

    public MeasureKind kind() {
        return kind;
    }

    public LocalDate on() {
        return onDate;
    }

    BigDecimal figure() {
        return figure;
    }

    void remove(Instant at) {
        removedAt = at;
    }

    boolean isRemoved() {
        return removedAt != null;
    }
}
