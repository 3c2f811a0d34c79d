package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.Band;
import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Changing;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.RoundingMode;
import java.time.Instant;
import java.util.Optional;

/** One piece of kit, or some that are alike. Which of its columns are filled is up to its shelf. */
@Entity
@Table(name = "piece")
class PieceEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long gymId;

    @Enumerated(EnumType.STRING)
    private Shelf shelf;

    String name = "";

    @Enumerated(EnumType.STRING)
    MassUnit unit;

    @Enumerated(EnumType.STRING)
    Implement implement;

    Mass mass;
    Mass nominal;
    int count = 1;
    boolean calibrated;
    boolean fullSize;
    String madeFor;
    boolean fitForPins = true;
    String safetyHeight;
    Mass step;
    Mass most;
    Length length;
    Length longLength;
    Mass pullLong;
    String make;
    Integer bought;
    String otherMake;
    Integer otherBought;
    Mass otherPull;
    Mass otherPullLong;
    private Instant removedAt;

    protected PieceEntity() {}

    PieceEntity(long clubId, long gymId, Shelf shelf, MassUnit unit) {
        this.clubId = clubId;
        this.gymId = gymId;
        this.shelf = shelf;
        this.unit = unit;
    }

    public Long id() {
        return id;
    }

    long gymId() {
        return gymId;
    }

    public Shelf shelf() {
        return shelf;
    }

    void remove(Instant at) {
        removedAt = at;
    }

    boolean isRemoved() {
        return removedAt != null;
    }

    /** What to call it: its name, else its mass. */
    public String label() {
        return name.isEmpty() ? text(mass) : name;
    }

    /** What is kept in a field, as it is typed. */
    public String text(PieceField field) {
        return switch (field) {
            case IMPLEMENT -> implement == null ? "" : implement.name();
            case NAME -> name;
            case MASS, LEAST, PER_METRE, PULL -> text(mass);
            case NOMINAL -> text(nominal);
            case COUNT -> String.valueOf(count);
            case CALIBRATED -> calibrated ? "on" : "";
            case FULL_SIZE -> fullSize ? "on" : "";
            case MADE_FOR -> madeFor == null ? "" : madeFor;
            case FIT_FOR_PINS -> fitForPins ? "on" : "";
            case SAFETY_HEIGHT -> safetyHeight == null ? "" : safetyHeight;
            case STEP -> text(step);
            case MOST -> text(most);
            case LENGTH -> text(length);
            case LONG_LENGTH -> text(longLength);
            case PULL_LONG -> text(pullLong);
            case MAKE -> make == null ? "" : make;
            case BOUGHT -> bought == null ? "" : bought.toString();
            case OTHER_PULL -> text(otherPull);
            case OTHER_PULL_LONG -> text(otherPullLong);
            case OTHER_MAKE -> otherMake == null ? "" : otherMake;
            case OTHER_BOUGHT -> otherBought == null ? "" : otherBought.toString();
        };
    }

    private String text(Mass of) {
        return of == null ? "" : of.format(unit, 3);
    }

    private static String text(Length of) {
        return of == null ? "" : of.format(LengthUnit.CM, 2);
    }

    Plate plate() {
        return new Plate(mass, unit, calibrated, fullSize);
    }

    Gym.Holder holder() {
        return new Gym.Holder(
                implement, name, mass, Optional.ofNullable(madeFor), fitForPins, Optional.ofNullable(safetyHeight));
    }

    Gym.Piece piece() {
        return new Gym.Piece(implement, name.isEmpty() ? text(nominal == null ? mass : nominal) : name, mass);
    }

    Gym.Stack stack() {
        return new Gym.Stack(name, madeFor, mass, step, most);
    }

    /** What it adds to a bar as a pair: chains with all of them off the floor at the top, bands as a scale showed them. */
    Optional<Changing> changing() {
        if (shelf == Shelf.CHAINS && count > 1) {
            Mass both = mass.times(Percent.ofShare(length.in(LengthUnit.M))).times(2);
            return Optional.of(new Changing(Changing.Kind.CHAINS, Mass.ZERO, whole(both), unit));
        }
        if (shelf != Shelf.BANDS) {
            return Optional.empty();
        }
        Band other = otherBand();
        return Optional.of(new Changing(
                Changing.Kind.BANDS,
                whole(band().tensionShort().plus(other.tensionShort())),
                whole(band().tensionLong().plus(other.tensionLong())),
                unit));
    }

    private Mass whole(Mass exact) {
        return Mass.of(exact.in(unit).setScale(0, RoundingMode.HALF_UP), unit);
    }

    Band band() {
        return new Band(name(make), Optional.ofNullable(bought), length, mass, longLength, pullLong);
    }

    /** The other band of the pair; alike in whatever is not said of it. */
    Band otherBand() {
        return new Band(
                name(otherMake == null ? make : otherMake),
                Optional.ofNullable(otherBought == null ? bought : otherBought),
                length,
                otherPull == null ? mass : otherPull,
                longLength,
                otherPullLong == null ? pullLong : otherPullLong);
    }

    private static String name(String make) {
        return make == null ? "" : make;
    }
}
