package dev.yarbel.core.contest;

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

/** What lies beside a bar in a warm-up room: a bar of 20 kg with collars of 2.5 kg each (IPF Technical Rules, from memory), six pairs of 25 kg and one of each smaller disc. */
public final class ContestKit {

    private static final int TWENTY_FIVES = 6;

    private static final BarLoads USUAL =
            BarLoads.of(new BarKit(new Bar("bar", Mass.ofKg(20)), Mass.ofKg(5), PlateSet.of(discs())));

    private ContestKit() {}

    /** The usual kit of one bar. */
    public static BarLoads usual() {
        return USUAL;
    }

    private static Map<Plate, Integer> discs() {
        Map<Plate, Integer> discs = new LinkedHashMap<>();
        discs.put(Plate.of("25", MassUnit.KG), TWENTY_FIVES);
        for (String disc : List.of("20", "15", "10", "5", "2.5", "1.25")) {
            discs.put(Plate.of(disc, MassUnit.KG), 1);
        }
        return discs;
    }
}
