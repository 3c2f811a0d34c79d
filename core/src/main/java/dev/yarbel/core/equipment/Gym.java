package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * What a gym owns: things that take plates, the plates they share, pieces that are picked up whole, and machines.
 *
 * @param collars both collars of one bar together; on for every load of everything that takes plates on a sleeve, except
 *     yokes, frames and handles
 * @param plates how many plates there are of each kind
 */
public record Gym(
        String name,
        Mass collars,
        Map<Plate, Integer> plates,
        List<Holder> holders,
        List<Piece> pieces,
        List<Stack> stacks) {

    /** What hangs on a belt, in half kilograms; in a gym with lb plates alone, in whole pounds. */
    private static final AvailableLoads ON_A_BELT = onABelt(Mass.of("0.5", MassUnit.KG), Mass.ofKg(100));

    private static final AvailableLoads ON_A_BELT_IN_LB = onABelt(Mass.ofLb(1), Mass.ofLb(200));

    /**
     * A bar, or anything else that takes plates.
     *
     * @param mass its own, of one where there are two
     * @param madeFor the lift it is kept for, by its key, such as a stiff bar for squats
     * @param fitForPins whether it may be set down hard on pins; an old bar may not
     * @param safetyHeight where safeties stand for it when that is not where they usually do, in the gym's words
     */
    public record Holder(
            Implement kind,
            String name,
            Mass mass,
            Optional<String> madeFor,
            boolean fitForPins,
            Optional<String> safetyHeight) {

        /** With safeties where they usually stand. */
        public Holder(Implement kind, String name, Mass mass, Optional<String> madeFor, boolean fitForPins) {
            this(kind, name, mass, madeFor, fitForPins, Optional.empty());
        }

        public Holder {
            if (kind.made() != Implement.Made.PLATES) {
                throw new IllegalArgumentException(kind + " takes no plates");
            }
        }
    }

    /** Something picked up whole, with what it really weighs. */
    public record Piece(Implement kind, String name, Mass mass) {

        public Piece {
            if (kind.made() != Implement.Made.PIECES) {
                throw new IllegalArgumentException(kind + " is not picked up whole");
            }
        }
    }

    /**
     * A machine: the least it loads, the step of its stack, and the most.
     *
     * @param madeFor the lift it is for, by its key
     */
    public record Stack(String name, String madeFor, Mass least, Mass step, Mass most) {

        private static final int MOST_STEPS = 200;

        public Stack {
            if (!least.isPositive() || !step.isPositive() || most.isLessThan(least)) {
                throw new IllegalArgumentException("a stack goes up from a least load by a step to a most");
            }
            if (most.minus(least).percentOf(step).figure().intValue() / 100 > MOST_STEPS) {
                throw new IllegalArgumentException("at most " + MOST_STEPS + " steps");
            }
        }

        FixedLoads loads() {
            List<Bar> steps = new ArrayList<>();
            for (Mass load = least; !load.isGreaterThan(most); load = load.plus(step)) {
                steps.add(new Bar(name, load));
            }
            return FixedLoads.of(name, steps);
        }
    }

    /**
     * What a lift needs.
     *
     * @param lift its key
     * @param pins whether the bar is set down on pins
     */
    public record Need(Implement implement, String lift, boolean pins) {}

    public Gym {
        if (collars.isNegative()) {
            throw new IllegalArgumentException("collars weigh something or nothing");
        }
        plates = Map.copyOf(plates);
        holders = List.copyOf(holders);
        pieces = List.copyOf(pieces);
        stacks = List.copyOf(stacks);
    }

    /**
     * The loads a lift can be done with here; empty when there is nothing for it, and for whatever takes plates while none
     * are set down: a bar alone would make every load its own mass. Of several bars of a kind, the one kept
     * for the lift stands, else the first that is not kept for another.
     *
     * @param loaders works out what a kit can load, or has it ready
     */
    public Optional<AvailableLoads> loads(Need need, Function<BarKit, BarLoads> loaders) {
        return switch (need.implement().made()) {
            case PLATES -> awaitsPlates() ? Optional.empty() : holder(need).map(holder -> loaders.apply(kit(holder)));
            case PIECES -> pieces(need.implement());
            case STACK ->
                stacks.stream()
                        .filter(stack -> stack.madeFor().equals(need.lift()))
                        .findFirst()
                        .map(Stack::loads);
            case FREELY -> Optional.of(hasPoundsAlone() ? ON_A_BELT_IN_LB : ON_A_BELT);
        };
    }

    /** Whether there is something that takes plates, and no plates are set down yet. */
    public boolean awaitsPlates() {
        return !holders.isEmpty() && plates.values().stream().allMatch(count -> count == 0);
    }

    private static AvailableLoads onABelt(Mass step, Mass most) {
        return new Stack("belt", "", step, step, most).loads();
    }

    private boolean hasPoundsAlone() {
        return !plates.isEmpty() && plates.keySet().stream().allMatch(plate -> plate.castIn() == MassUnit.LB);
    }

    /** What takes the plates for a lift; empty when the gym has none, or nothing takes plates for it. */
    public Optional<Holder> holder(Need need) {
        return holders.stream()
                .filter(holder -> holder.kind() == need.implement() && (holder.fitForPins() || !need.pins()))
                .filter(holder -> holder.madeFor().map(need.lift()::equals).orElse(true))
                .min(Comparator.comparing(holder -> holder.madeFor().isEmpty()));
    }

    /** One bar with collars and its share of the plates. */
    public BarKit kit(Holder holder) {
        Map<Plate, Integer> pairs = new HashMap<>();
        plates.forEach((plate, count) -> pairs.put(plate, count / holder.kind().ends()));
        return new BarKit(
                new Bar(holder.name(), holder.mass()), takesCollars(holder) ? collars : Mass.ZERO, PlateSet.of(pairs));
    }

    private static boolean takesCollars(Holder holder) {
        return switch (holder.kind()) {
            case YOKE, FRAME, HANDLES -> false;
            default -> true;
        };
    }

    private Optional<AvailableLoads> pieces(Implement kind) {
        List<Bar> row = pieces.stream()
                .filter(piece -> piece.kind() == kind)
                .map(piece -> new Bar(piece.name(), piece.mass()))
                .toList();
        return row.isEmpty() ? Optional.empty() : Optional.of(FixedLoads.of(name, row));
    }
}
