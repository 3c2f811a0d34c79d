package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;

/**
 * One plate, with the unit its mass is cast in: a 45 lb plate is not a 20 kg plate.
 *
 * @param calibrated whether it is a contest's disc, of exact mass and the rule book's colour
 * @param fullSize whether it has the full diameter although it is light: a bumper or a technique plate
 */
public record Plate(Mass mass, MassUnit castIn, boolean calibrated, boolean fullSize) implements Comparable<Plate> {

    public Plate {
        if (!mass.isPositive()) {
            throw new IllegalArgumentException("a plate has a mass");
        }
    }

    /** An ordinary plate. */
    public Plate(Mass mass, MassUnit castIn) {
        this(mass, castIn, false, false);
    }

    /** A plate of the usual diameter for its mass. */
    public Plate(Mass mass, MassUnit castIn, boolean calibrated) {
        this(mass, castIn, calibrated, false);
    }

    /** A plate by the figure cast on it: {@code of("2.5", KG)}. */
    public static Plate of(String figure, MassUnit castIn) {
        return new Plate(Mass.of(figure, castIn), castIn);
    }

    /** From this mass on a plate is taken to have the full diameter of 45 cm: 20 kg, and so 45 lb. */
    public static final Mass FULL_SIZE_FROM = Mass.ofKg(20);

    /** Whether a bar with it lies on the floor at full height: 45 cm across, as heavy plates and bumpers are. */
    public boolean isFullSize() {
        return fullSize || !mass.isLessThan(FULL_SIZE_FROM);
    }

    /** The figure cast on it, without the unit. */
    public String label() {
        return mass.figure(castIn, 3);
    }

    /** Lighter before heavier; of two alike in mass, kg before lb and ordinary before calibrated. */
    @Override
    public int compareTo(Plate other) {
        int byMass = mass.compareTo(other.mass);
        int byUnit = byMass != 0 ? byMass : castIn.compareTo(other.castIn);
        int byMake = byUnit != 0 ? byUnit : Boolean.compare(calibrated, other.calibrated);
        return byMake != 0 ? byMake : Boolean.compare(fullSize, other.fullSize);
    }

    @Override
    public String toString() {
        return label() + " " + castIn.symbol();
    }
}
