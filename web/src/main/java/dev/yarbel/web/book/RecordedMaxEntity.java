package dev.yarbel.web.book;

import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.Worn;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "recorded_max")
class RecordedMaxEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private Lift lift;

    @Enumerated(EnumType.STRING)
    private RecordedMax.Kind kind;

    private Mass load;

    @Enumerated(EnumType.STRING)
    private MassUnit unit;

    private int reps;
    private LocalDate onDate;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> worn;

    private String source;
    private Instant enteredAt;
    private String enteredBy;
    private Instant removedAt;

    protected RecordedMaxEntity() {}

    RecordedMaxEntity(long clubId, long lifterId, RecordedMax max, MassUnit unit, String by, Instant at) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.lift = max.lift();
        this.kind = max.kind();
        this.load = max.load();
        this.unit = unit;
        this.reps = max.reps();
        this.onDate = max.on();
        this.worn = max.worn().stream().map(Worn::name).sorted().toList();
        this.source = max.source();
        this.enteredAt = at;
        this.enteredBy = by;
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

    SetDownMax setDown() {
        return new SetDownMax(id, max(), unit, enteredBy);
    }

    RecordedMax max() {
        return new RecordedMax(
                lift, kind, load, reps, onDate, worn.stream().map(Worn::valueOf).collect(Collectors.toSet()), source);
    }

    void remove(Instant at) {
        removedAt = at;
    }

    boolean isRemoved() {
        return removedAt != null;
    }
}
