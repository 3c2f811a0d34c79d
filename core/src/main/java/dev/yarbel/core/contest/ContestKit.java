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

/**
 * What lies beside a bar in a warm-up room: the bar and collars of the rules, and the plates that are there; where nobody said, six pairs of 25
 * kg and one of each smaller disc (IPF Technical Rules, from memory).
 */
public final class ContestKit {

    private static final int TWENTY_FIVES = 6;

    private static final Map<Room, BarLoads> MADE = new ConcurrentHashMap<>();

    private ContestKit() {}

    /**
     * The kit of one bar.
     *
     * @param plates one of each pair; empty for the usual
     */
    public static BarLoads of(ContestRules rules, List<Mass> plates) {
        return MADE.computeIfAbsent(
                new Room(rules.bar(), rules.collars(), plates),
                room -> BarLoads.of(new BarKit(new Bar("bar", room.bar), room.collars, PlateSet.of(room.discs()))));
    }

    /** All that a kit hangs on. */
    private record Room(Mass bar, Mass collars, List<Mass> plates) {

        Map<Plate, Integer> discs() {
            Map<Plate, Integer> discs = new LinkedHashMap<>();
            plates.forEach(plate ->
                    discs.merge(Plate.of(plate.in(MassUnit.KG).toPlainString(), MassUnit.KG), 1, Integer::sum));
            return plates.isEmpty() ? usual() : discs;
        }
    }

    private static Map<Plate, Integer> usual() {
        Map<Plate, Integer> discs = new LinkedHashMap<>();
        discs.put(Plate.of("25", MassUnit.KG), TWENTY_FIVES);
        for (String disc : List.of("20", "15", "10", "5", "2.5", "1.25")) {
            discs.put(Plate.of(disc, MassUnit.KG), 1);
        }
        return discs;
    }
}
