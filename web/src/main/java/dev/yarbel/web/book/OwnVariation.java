package dev.yarbel.web.book;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Percent;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.util.List;
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

    protected OwnVariation() {}

    OwnVariation(long clubId, Variation variation) {
        this.clubId = clubId;
        this.lift = variation.lift();
        this.parent = variation.parent().orElseThrow().to();
        this.ratio = variation.parent().orElseThrow().share();
        this.implement = variation.implement();
        this.pins = variation.pins();
        this.measures = variation.measures().stream().map(SetUpMeasure::name).toList();
    }

    Lift lift() {
        return lift;
    }

    /** This variation on a catalogue that has its parent. */
    Variation in(Catalogue catalogue) {
        return catalogue
                .of(parent)
                .varied(
                        lift,
                        ratio,
                        implement,
                        pins,
                        measures.stream().map(SetUpMeasure::valueOf).toList());
    }
}
