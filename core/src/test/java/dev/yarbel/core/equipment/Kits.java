package dev.yarbel.core.equipment;

import static dev.yarbel.core.measure.MassUnit.KG;
import static dev.yarbel.core.measure.MassUnit.LB;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.util.HashMap;
import java.util.Map;

/** Kits for tests. */
public final class Kits {

    public static final Bar BAR_20 = new Bar("bar", Mass.ofKg(20));
    public static final Bar BAR_45_LB = new Bar("bar", Mass.ofLb(45));

    private Kits() {}

    /** A well-stocked gym in kg. */
    public static BarLoads kg() {
        return BarLoads.of(new BarKit(BAR_20, Mass.ZERO, plates(KG, "25:4 20:2 15:2 10:2 5:2 2.5:2 1.25:2")));
    }

    /** A well-stocked gym in lb. */
    public static BarLoads lb() {
        return BarLoads.of(new BarKit(BAR_45_LB, Mass.ZERO, plates(LB, "45:5 35:1 25:1 10:2 5:2 2.5:1")));
    }

    /** A gym in lb with pairs of 45s, 25s and less. */
    public static BarLoads lbOf45s() {
        return BarLoads.of(new BarKit(BAR_45_LB, Mass.ZERO, plates(LB, "45:6 25:4 10:4 5:4 2.5:4")));
    }

    /** Plates as {@code mass:pairs} separated by spaces. */
    public static PlateSet plates(MassUnit unit, String text) {
        return PlateSet.of(pairs(unit, text));
    }

    public static Map<Plate, Integer> pairs(MassUnit unit, String text) {
        Map<Plate, Integer> pairs = new HashMap<>();
        for (String part : text.isBlank() ? new String[0] : text.split(" ")) {
            String[] figures = part.split(":");
            pairs.put(Plate.of(figures[0], unit), Integer.parseInt(figures[1]));
        }
        return pairs;
    }

    /** A 20 kg bar without collars and these plates in kg. */
    public static BarLoads bar20(String plates) {
        return BarLoads.of(new BarKit(BAR_20, Mass.ZERO, plates(KG, plates)));
    }
}
