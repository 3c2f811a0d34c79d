package dev.yarbel.core.lift;

import dev.yarbel.core.equipment.Implement;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/** The lifts and events that can be planned: {@link StandardLifts} and what a club's coaches added. */
public final class Catalogue {

    /** Without anybody's own variations. */
    public static final Catalogue STANDARD = new Catalogue(StandardLifts.all());

    private final Map<Lift, Variation> byLift = new LinkedHashMap<>();
    /** The root of each lift's family, once somebody asked. */
    private final Map<Lift, Lift> roots = new ConcurrentHashMap<>();

    private Catalogue(Collection<Variation> variations) {
        variations.forEach(variation -> byLift.put(variation.lift(), variation));
    }

    /** This catalogue and a club's own variations; one of the same key takes the place of ours. */
    public Catalogue with(Collection<Variation> own) {
        if (own.isEmpty()) {
            return this;
        }
        List<Variation> all = new ArrayList<>(byLift.values());
        all.addAll(own);
        return new Catalogue(all);
    }

    /** Every lift, ours first, each after its parent. */
    public List<Variation> all() {
        return List.copyOf(byLift.values());
    }

    /** A lift of the catalogue. */
    public Optional<Variation> find(Lift lift) {
        return Optional.ofNullable(byLift.get(lift));
    }

    /** What is known of a lift, which may be nothing. */
    public Variation of(Lift lift) {
        return find(lift).orElseGet(() -> Variation.unknown(lift));
    }

    /** The lift at the root of a variation's family; a lift that stands alone is its own. */
    public Lift root(Lift lift) {
        return byLift.containsKey(lift) ? roots.computeIfAbsent(lift, this::findRoot) : lift;
    }

    private Lift findRoot(Lift lift) {
        Set<Lift> seen = new HashSet<>();
        Lift root = lift;
        while (seen.add(root)) {
            Optional<Ratio> parent = of(root).parent();
            if (parent.isEmpty()) {
                return root;
            }
            root = parent.get().to();
        }
        return root;
    }

    /** The default ratio of each variation to its parent. */
    public Map<Lift, Ratio> ratios() {
        return byLift.values().stream()
                .filter(variation -> variation.parent().isPresent())
                .collect(Collectors.toMap(
                        Variation::lift, variation -> variation.parent().orElseThrow()));
    }

    /** Whether a lift loads a place of the body. */
    public boolean loads(Lift lift, Tissue place) {
        return of(lift).loads().contains(place);
    }

    /** Whether a lift uses half of another one's muscles or more (a starting value of ours). */
    public boolean sharesMuscles(Lift done, Lift next) {
        Set<Muscle> worked = of(done).trains();
        Set<Muscle> needed = of(next).trains();
        int shared = 0;
        for (Muscle muscle : needed) {
            shared += worked.contains(muscle) ? 1 : 0;
        }
        return shared > 0 && 2 * shared >= needed.size();
    }

    /**
     * Whether sets of several repetitions flatter the single: in pulls that begin from a stand-still, each further repetition
     * borrows from the stretch of the one before (common practice, no source); not where each one is paused.
     */
    public boolean repsFlatterTheSingle(Lift lift) {
        return root(lift).equals(Lift.DEADLIFT)
                && of(lift).start() == Start.RAISING
                && !lift.key().contains("paused");
    }

    /** Whether the bar of a lift lies on the floor before each set: a pull that stands on no blocks or pins. */
    public boolean isPulledFromTheFloor(Lift lift) {
        Variation variation = of(lift);
        return root(lift).equals(Lift.DEADLIFT)
                && variation.start() == Start.RAISING
                && variation.implement().made() == Implement.Made.PLATES
                && !variation.pins()
                && !variation.measures().contains(SetUpMeasure.BLOCK_HEIGHT)
                && !variation.measures().contains(SetUpMeasure.PICK_HEIGHT);
    }
}
