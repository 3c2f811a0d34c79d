package dev.yarbel.web.book;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Muscle;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Percent;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.util.List;
import java.util.stream.Collectors;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A variation that a club's coaches added to the catalogue. */
@Entity
class OwnVariation {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private Lift lift;
    private Lift parent;
    private Percent ratio;

    @Enumerated(EnumType.STRING)
    private Implement implement;

    private boolean pins;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> measures;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> trains;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> loads;

    protected OwnVariation() {}

    OwnVariation(long clubId, Variation variation) {
        this.clubId = clubId;
        this.lift = variation.lift();
        this.parent = variation.parent().map(Ratio::to).orElse(null);
        this.ratio = variation.parent().map(Ratio::share).orElse(null);
        this.trains = parent != null
                ? List.of()
                : variation.trains().stream().map(Muscle::name).sorted().toList();
        this.loads = parent != null
                ? List.of()
                : variation.loads().stream().map(Tissue::name).sorted().toList();
        this.implement = variation.implement();
        this.pins = variation.pins();
        this.measures = variation.measures().stream().map(SetUpMeasure::name).toList();
    }

    Lift lift() {
        return lift;
    }

    /** This lift on a catalogue that has its parent, if it has one. */
    Variation in(Catalogue catalogue) {
        List<SetUpMeasure> card = measures.stream().map(SetUpMeasure::valueOf).toList();
        return parent == null
                ? Variation.alone(
                        lift,
                        trains.stream().map(Muscle::valueOf).collect(Collectors.toSet()),
                        loads.stream().map(Tissue::valueOf).collect(Collectors.toSet()),
                        implement,
                        pins,
                        card)
                : catalogue.of(parent).varied(lift, ratio, implement, pins, card);
    }
}
