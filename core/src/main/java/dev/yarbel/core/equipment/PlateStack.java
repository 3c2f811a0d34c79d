package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;
import java.util.List;

/** The plates on one side of a bar, heaviest innermost, as the rule books ask and as lifters load. */
public record PlateStack(List<Plate> plates) {

    /** No plates. */
    public static final PlateStack EMPTY = new PlateStack(List.of());

    /** The plates from the inside out, sorted here. */
    public PlateStack {
        plates = plates.stream().sorted((a, b) -> b.compareTo(a)).toList();
    }

    /** Plates in any order. */
    public static PlateStack of(Plate... plates) {
        return new PlateStack(List.of(plates));
    }

    /** The mass of one side. */
    public Mass mass() {
        Mass sum = Mass.ZERO;
        for (Plate plate : plates) {
            sum = sum.plus(plate.mass());
        }
        return sum;
    }

    public int size() {
        return plates.size();
    }

    public boolean isEmpty() {
        return plates.isEmpty();
    }

    /** Whether the other stack comes from this one by adding plates outside, taking none off. */
    public boolean isPrefixOf(PlateStack other) {
        return plates.size() <= other.plates.size()
                && other.plates.subList(0, plates.size()).equals(plates);
    }

    /** How many plates from the inside out both stacks have in common. */
    public int sharedWith(PlateStack other) {
        int shared = 0;
        while (shared < Math.min(size(), other.size()) && plates.get(shared).equals(other.plates.get(shared))) {
            shared++;
        }
        return shared;
    }

    /** The plates that come off to make the other stack of this one, outermost first. */
    public List<Plate> takenOffFor(PlateStack next) {
        List<Plate> off = plates.subList(sharedWith(next), size());
        return off.stream().sorted().toList();
    }

    /** The plates that go on to make the other stack of this one, in the order they go on. */
    public List<Plate> addedFor(PlateStack next) {
        return next.plates.subList(sharedWith(next), next.size());
    }
}
