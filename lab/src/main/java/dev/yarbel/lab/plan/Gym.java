package dev.yarbel.lab.plan;

import dev.yarbel.core.equipment.Bar;
import dev.yarbel.core.equipment.BarKit;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateSet;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Where simulated lifters train: a bar, and plates down to 1.25 kg. */
public final class Gym {

    public static final BarLoads USUAL = usual();

    private static final double STEP = 2.5;
    private static final double BAR = 20;

    private Gym() {}

    /** A load as it can be made there, in kg. */
    public static double loaded(double wanted) {
        return Math.max(BAR, Math.round(wanted / STEP) * STEP);
    }

    private static BarLoads usual() {
        Map<Plate, Integer> plates = new LinkedHashMap<>();
        for (String figure : List.of("25", "20", "15", "10", "5", "2.5", "1.25")) {
            plates.put(Plate.of(figure, MassUnit.KG), figure.equals("25") ? 6 : 2);
        }
        return BarLoads.of(new BarKit(new Bar("bar", Mass.ofKg(20)), Mass.ZERO, PlateSet.of(plates)));
    }
}
