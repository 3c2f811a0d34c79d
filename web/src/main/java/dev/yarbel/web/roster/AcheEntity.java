package dev.yarbel.web.roster;

import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.HealedAche;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Tissue;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "ache")
class AcheEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;

    @Enumerated(EnumType.STRING)
    private Tissue place;

    private String words;
    private LocalDate since;
    private Integer weight;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> lifts;

    private String clearedBy;
    private LocalDate clearedOn;

    protected AcheEntity() {}

    AcheEntity(long clubId, long lifterId, Ache ache) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.place = ache.place();
        this.words = ache.words();
        this.since = ache.since();
        this.weight = ache.weight().orElse(null);
        this.lifts = ache.lifts().stream().map(Lift::key).sorted().toList();
    }

    public long id() {
        return id;
    }

    long lifterId() {
        return lifterId;
    }

    public Ache ache() {
        return new Ache(
                place,
                words,
                since,
                Optional.ofNullable(weight),
                lifts.stream().map(Lift::new).collect(Collectors.toSet()));
    }

    /** The same once it was cleared; empty while it is open. */
    Optional<HealedAche> healed() {
        return Optional.ofNullable(clearedOn).map(on -> new HealedAche(ache(), clearedBy, on));
    }

    public String clearedBy() {
        return clearedBy;
    }

    public LocalDate clearedOn() {
        return clearedOn;
    }

    void clear(String by, LocalDate on) {
        clearedBy = by;
        clearedOn = on;
    }
}
