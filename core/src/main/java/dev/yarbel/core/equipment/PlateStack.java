package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;
import java.util.Comparator;
import java.util.List;

/** The plates on one side of a bar, heaviest innermost, as the rule books ask and as lifters load. */
public record PlateStack(List<Plate> plates) {

    /** No plates. */
    public static final PlateStack EMPTY = new PlateStack(List.of());

    /** The plates from the inside out, sorted here. */
    public PlateStack {
        plates = isSorted(plates)
                ? List.copyOf(plates)
                : plates.stream().sorted(Comparator.reverseOrder()).toList();
    }

    private static boolean isSorted(List<Plate> plates) {
        for (int i = 1; i < plates.size(); i++) {
            if (plates.get(i - 1).compareTo(plates.get(i)) < 0) {
                return false;
            }
        }
        return true;
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

    /** Whether a bar with it lies on the floor at full height: one plate has the full diameter. */
    public boolean isFullHeight() {
        return plates.stream().anyMatch(Plate::isFullSize);
    }

    /** How many plates a side are put on and taken off to make the other stack of this one. */
    public int handledFor(PlateStack next) {
        int shared = sharedWith(next);
        return size() - shared + next.size() - shared;
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
