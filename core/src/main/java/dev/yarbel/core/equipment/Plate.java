package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;

/**
 * One plate, with the unit its mass is cast in: a 45 lb plate is not a 20 kg plate.
 *
 * @param calibrated whether it is a contest's disc, of exact mass and the rule book's colour
 */
public record Plate(Mass mass, MassUnit castIn, boolean calibrated) implements Comparable<Plate> {

    public Plate {
        if (!mass.isPositive()) {
            throw new IllegalArgumentException("a plate has a mass");
        }
    }

    /** An ordinary plate. */
    public Plate(Mass mass, MassUnit castIn) {
        this(mass, castIn, false);
    }

    /** A plate by the figure cast on it: {@code of("2.5", KG)}. */
    public static Plate of(String figure, MassUnit castIn) {
        return new Plate(Mass.of(figure, castIn), castIn);
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
        return byUnit != 0 ? byUnit : Boolean.compare(calibrated, other.calibrated);
    }

    @Override
    public String toString() {
        return label() + " " + castIn.symbol();
    }
}
