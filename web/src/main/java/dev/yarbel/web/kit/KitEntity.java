package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.Bar;
import dev.yarbel.core.equipment.Kit;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateSet;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

@Entity
@Table(name = "kit")
class KitEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private String name;
    private String barName;
    private Mass barMass;
    private Mass collars;

    @ElementCollection
    @CollectionTable(name = "kit_plate", joinColumns = @JoinColumn(name = "kit_id"))
    private Set<Pairs> plates = new HashSet<>();

    @Embeddable
    record Pairs(
            @Column(name = "club_id") long clubId,
            BigDecimal figure,
            @Enumerated(EnumType.STRING) MassUnit castIn,
            int pairs) {}

    protected KitEntity() {}

    KitEntity(long clubId, String name, Kit kit) {
        this.clubId = clubId;
        this.name = name;
        this.barName = kit.bar().name();
        this.barMass = kit.bar().mass();
        this.collars = kit.collars();
        for (PlateSet.Pairs kind : kit.plates().heaviestFirst()) {
            Plate plate = kind.plate();
            plates.add(new Pairs(clubId, plate.mass().in(plate.castIn()), plate.castIn(), kind.count()));
        }
    }

    long id() {
        return id;
    }

    Kit kit() {
        Map<Plate, Integer> pairs = new HashMap<>();
        plates.forEach(p -> pairs.put(new Plate(Mass.of(p.figure(), p.castIn()), p.castIn()), p.pairs()));
        return new Kit(new Bar(barName, barMass), collars, PlateSet.of(pairs));
    }
}
