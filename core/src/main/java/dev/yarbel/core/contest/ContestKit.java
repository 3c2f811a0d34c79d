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
import java.util.concurrent.ConcurrentHashMap;

/** What lies beside a bar in a warm-up room: the bar and collars of the rules, six pairs of 25 kg and one of each smaller disc (IPF Technical Rules, from memory). */
public final class ContestKit {

    private static final int TWENTY_FIVES = 6;

    private static final Map<List<Mass>, BarLoads> MADE = new ConcurrentHashMap<>();

    private ContestKit() {}

    /** The usual kit of one bar. */
    public static BarLoads of(ContestRules rules) {
        return MADE.computeIfAbsent(
                List.of(rules.bar(), rules.collars()),
                masses -> BarLoads.of(new BarKit(new Bar("bar", masses.get(0)), masses.get(1), PlateSet.of(discs()))));
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
