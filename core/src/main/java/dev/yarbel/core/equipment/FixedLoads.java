package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * A row of pieces that are picked up whole: dumbbells, stones, sandbags, the steps of a machine's stack. A load is one
 * piece; of two pieces alike in mass the first one stands.
 */
public final class FixedLoads extends AvailableLoads {

    private final String name;
    private final List<BarKit> lightestFirst;

    private FixedLoads(String name, List<BarKit> lightestFirst) {
        this.name = name;
        this.lightestFirst = List.copyOf(lightestFirst);
    }

    /**
     * A row of pieces in any order.
     *
     * @throws IllegalArgumentException when there are none
     */
    public static FixedLoads of(String name, List<Bar> pieces) {
        if (pieces.isEmpty()) {
            throw new IllegalArgumentException("a row has at least one piece");
        }
        Map<Mass, Bar> byMass = new TreeMap<>(Comparator.naturalOrder());
        pieces.forEach(piece -> byMass.putIfAbsent(piece.mass(), piece));
        return new FixedLoads(
                name,
                byMass.values().stream()
                        .map(piece -> new BarKit(piece, Mass.ZERO, PlateSet.NONE))
                        .toList());
    }

    @Override
    public String name() {
        return name;
    }

    @Override
    public Optional<BarLoads> loader() {
        return Optional.empty();
    }

    @Override
    int size() {
        return lightestFirst.size();
    }

    @Override
    long tensOfNanogramsAt(int index) {
        return lightestFirst.get(index).base().tensOfNanograms();
    }

    @Override
    LoadedBar loading(int index) {
        return lightestFirst.get(index).with(PlateStack.EMPTY);
    }

    @Override
    LoadedBar loading(int index, PlateStack onTheBar) {
        return loading(index);
    }
}
