package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;

/** One plate, with the unit its mass is cast in: a 45 lb plate is not a 20 kg plate. */
public record Plate(Mass mass, MassUnit castIn) implements Comparable<Plate> {

    public Plate {
        if (!mass.isPositive()) {
            throw new IllegalArgumentException("a plate has a mass");
        }
    }

    /** A plate by the figure cast on it: {@code of("2.5", KG)}. */
    public static Plate of(String figure, MassUnit castIn) {
        return new Plate(Mass.of(figure, castIn), castIn);
    }

    /** The figure cast on it, without the unit. */
    public String label() {
        return mass.figure(castIn, 3);
    }

    /** Lighter before heavier; of two alike in mass, kg before lb. */
    @Override
    public int compareTo(Plate other) {
        int byMass = mass.compareTo(other.mass);
        return byMass != 0 ? byMass : castIn.compareTo(other.castIn);
    }

    @Override
    public String toString() {
        return label() + " " + castIn.symbol();
    }
}
