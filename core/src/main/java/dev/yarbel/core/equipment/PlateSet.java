package dev.yarbel.core.equipment;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;

/** The plates a gym owns: how many pairs of each, in kg or lb or both. */
public final class PlateSet {

    /** Pairs of one kind of plate, since a bar takes one on each side. */
    public record Pairs(Plate plate, int count) {}

    /** No plates. */
    public static final PlateSet NONE = new PlateSet(List.of());

    private final List<Pairs> heaviestFirst;

    private PlateSet(List<Pairs> heaviestFirst) {
        this.heaviestFirst = List.copyOf(heaviestFirst);
    }

    /**
     * A set from pairs of each plate; plates of none are left out.
     *
     * @throws IllegalArgumentException when a count is negative or above 100
     */
    public static PlateSet of(Map<Plate, Integer> pairs) {
        NavigableMap<Plate, Integer> sorted = new TreeMap<>(pairs).descendingMap();
        List<Pairs> kinds = new ArrayList<>();
        sorted.forEach((plate, count) -> {
            if (count < 0 || count > 100) {
                throw new IllegalArgumentException("pairs of " + plate + ": " + count);
            }
            if (count > 0) {
                kinds.add(new Pairs(plate, count));
            }
        });
        return new PlateSet(kinds);
    }

    /** The kinds of plate with their pairs, heaviest first. */
    public List<Pairs> heaviestFirst() {
        return heaviestFirst;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof PlateSet set && set.heaviestFirst.equals(heaviestFirst);
    }

    @Override
    public int hashCode() {
        return heaviestFirst.hashCode();
    }

    @Override
    public String toString() {
        return heaviestFirst.toString();
    }
}
