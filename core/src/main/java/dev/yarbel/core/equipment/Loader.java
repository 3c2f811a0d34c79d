package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Everything that can be put on one kit's bar.
 *
 * <p>All sums of plates that one side can make are worked out once, for every tail of the inventory sorted heaviest
 * first, so that asking for a load is a binary search and finding its plates never runs into a dead end. Taking the
 * heaviest plate that fits, the greedy choice, is wrong for many inventories (60 from 50, 30 and 30), so the fewest
 * plates are found by branch and bound.
 *
 * <p>One side holds at most {@link #MOST_A_SIDE}. Instances are immutable and worth keeping.
 */
public final class Loader {

    /** More than any sleeve takes. */
    public static final Mass MOST_A_SIDE = Mass.ofKg(400);

    private final Kit kit;
    private final List<PlateSet.Pairs> kinds;
    /** For each kind of plate, the sorted sums that it and all lighter kinds can make. */
    private final long[][] sums;

    private Loader(Kit kit) {
        this.kit = kit;
        this.kinds = kit.plates().heaviestFirst();
        this.sums = new long[kinds.size() + 1][];
        sums[kinds.size()] = new long[] {0};
        for (int kind = kinds.size() - 1; kind >= 0; kind--) {
            long plate = kinds.get(kind).plate().mass().tensOfNanograms();
            long[] made = sums[kind + 1];
            long[] reached = made;
            for (int copy = 1; copy <= kinds.get(kind).count(); copy++) {
                reached = union(reached, shifted(made, plate * copy));
            }
            sums[kind] = reached;
        }
    }

    /** Works out what can be loaded from a kit. */
    public static Loader of(Kit kit) {
        return new Loader(kit);
    }

    private static long[] shifted(long[] from, long by) {
        long most = MOST_A_SIDE.tensOfNanograms();
        return Arrays.stream(from)
                .map(sum -> sum + by)
                .takeWhile(sum -> sum <= most)
                .toArray();
    }

    private static long[] union(long[] a, long[] b) {
        long[] merged = new long[a.length + b.length];
        int size = 0;
        for (int i = 0, j = 0; i < a.length || j < b.length; ) {
            long next = j == b.length || i < a.length && a[i] <= b[j] ? a[i++] : b[j++];
            if (size == 0 || merged[size - 1] != next) {
                merged[size++] = next;
            }
        }
        return Arrays.copyOf(merged, size);
    }

    public Kit kit() {
        return kit;
    }

    /** The heaviest load there is. */
    public Mass heaviest() {
        return total(sums[0].length - 1);
    }

    /** All loads of this kit, lightest first. */
    public List<Mass> loads() {
        List<Mass> loads = new ArrayList<>(sums[0].length);
        for (int i = 0; i < sums[0].length; i++) {
            loads.add(total(i));
        }
        return loads;
    }

    private Mass total(int index) {
        return kit.base().plus(Mass.ofTensOfNanograms(sums[0][index]).times(2));
    }

    /** Whether exactly this load can be put on the bar. */
    public boolean canLoad(Mass load) {
        return sideOf(load).filter(side -> makes(0, side)).isPresent();
    }

    /** The load asked for as it can be put on the bar by the coach's rule, with the fewest plates. */
    public Fit fit(Mass asked, Rounding rule) {
        Slot slot = slot(asked, rule);
        return new Fit(asked, kit.with(fewest(0, Integer.MAX_VALUE, sums[0][slot.index()])), slot.limit());
    }

    /**
     * The load asked for as it can be put on a bar that carries plates already, with the fewest plates moved; of
     * those, with the fewest plates.
     */
    public Fit fit(Mass asked, Rounding rule, PlateStack onTheBar) {
        Slot slot = slot(asked, rule);
        return new Fit(asked, kit.with(keeping(onTheBar, sums[0][slot.index()])), slot.limit());
    }

    /** The load alone, without looking for its plates. */
    public Mass round(Mass asked, Rounding rule) {
        return total(slot(asked, rule).index());
    }

    /**
     * The distance between the two neighbouring loads around this one: from a load that can be made to the next
     * heavier. At the end of the kit, the last step there is; zero when the kit makes one load only.
     */
    public Mass stepAt(Mass load) {
        int last = sums[0].length - 1;
        if (last == 0) {
            return Mass.ZERO;
        }
        int below = Math.min(slot(load, Rounding.DOWN).index(), last - 1);
        return total(below + 1).minus(total(below));
    }

    private record Slot(int index, Fit.Limit limit) {}

    private Slot slot(Mass asked, Rounding rule) {
        if (asked.isLessThan(kit.base())) {
            return new Slot(0, Fit.Limit.BELOW_THE_BAR);
        }
        if (asked.isGreaterThan(heaviest())) {
            return new Slot(sums[0].length - 1, Fit.Limit.BEYOND_THE_PLATES);
        }
        int found = Arrays.binarySearch(sums[0], asked.minus(kit.base()).half().tensOfNanograms());
        int below = found >= 0 ? found : -found - 2;
        if (total(below).equals(asked)) {
            return new Slot(below, Fit.Limit.NONE);
        }
        int index =
                switch (rule) {
                    case DOWN -> below;
                    case UP -> below + 1;
                    case NEAREST ->
                        total(below + 1)
                                        .distanceTo(asked)
                                        .isLessThan(total(below).distanceTo(asked))
                                ? below + 1
                                : below;
                };
        return new Slot(index, Fit.Limit.NONE);
    }

    private Optional<Long> sideOf(Mass load) {
        Mass plates = load.minus(kit.base());
        return plates.isNegative() || !plates.half().times(2).equals(plates)
                ? Optional.empty()
                : Optional.of(plates.half().tensOfNanograms());
    }

    /** Whether the kinds of plate from this one on can make a side of exactly this mass. */
    private boolean makes(int kind, long side) {
        return Arrays.binarySearch(sums[kind], side) >= 0;
    }

    private PlateStack keeping(PlateStack onTheBar, long side) {
        PlateStack best = null;
        int fewestMoves = Integer.MAX_VALUE;
        for (int kept = onTheBar.size(); kept >= 0; kept--) {
            List<Plate> inside = onTheBar.plates().subList(0, kept);
            int takenOff = onTheBar.size() - kept;
            long rest = side - new PlateStack(inside).mass().tensOfNanograms();
            if (rest < 0 || takenOff >= fewestMoves) {
                continue;
            }
            Optional<PlateStack> outside = outside(inside, rest);
            if (outside.isPresent() && takenOff + outside.get().size() < fewestMoves) {
                fewestMoves = takenOff + outside.get().size();
                List<Plate> all = new ArrayList<>(inside);
                all.addAll(outside.get().plates());
                best = new PlateStack(all);
            }
        }
        return best == null ? fewest(0, Integer.MAX_VALUE, side) : best;
    }

    /** Plates no heavier than the outermost of those inside, adding up to the rest. */
    private Optional<PlateStack> outside(List<Plate> inside, long rest) {
        if (rest == 0) {
            return Optional.of(PlateStack.EMPTY);
        }
        int first = 0;
        int left = Integer.MAX_VALUE;
        if (!inside.isEmpty()) {
            Plate outermost = inside.get(inside.size() - 1);
            while (first < kinds.size() && !kinds.get(first).plate().equals(outermost)) {
                first++;
            }
            if (first == kinds.size()) {
                return Optional.empty();
            }
            long used = inside.stream().filter(outermost::equals).count();
            left = kinds.get(first).count() - (int) used;
        }
        return Optional.ofNullable(fewest(first, left, rest));
    }

    /**
     * The fewest plates of the kinds from the first on that make a side, with at most so many of the first kind; null
     * when there are none.
     */
    private PlateStack fewest(int first, int leftOfFirst, long side) {
        int[] counts = new int[kinds.size()];
        int[] best = new int[kinds.size()];
        int plates = search(first, leftOfFirst, side, 0, Integer.MAX_VALUE, counts, best);
        if (plates == Integer.MAX_VALUE) {
            return null;
        }
        List<Plate> stack = new ArrayList<>(plates);
        for (int kind = 0; kind < best.length; kind++) {
            for (int i = 0; i < best[kind]; i++) {
                stack.add(kinds.get(kind).plate());
            }
        }
        return new PlateStack(stack);
    }

    private int search(int kind, int left, long side, int used, int bound, int[] counts, int[] best) {
        if (side == 0) {
            Arrays.fill(counts, kind, counts.length, 0);
            System.arraycopy(counts, 0, best, 0, counts.length);
            return used;
        }
        if (kind == kinds.size() || !makes(kind, side)) {
            return bound;
        }
        long plate = kinds.get(kind).plate().mass().tensOfNanograms();
        long atLeast = used + (side + plate - 1) / plate;
        if (atLeast >= bound) {
            return bound;
        }
        int most = (int) Math.min(Math.min(left, kinds.get(kind).count()), side / plate);
        for (int count = most; count >= 0; count--) {
            counts[kind] = count;
            bound = search(kind + 1, Integer.MAX_VALUE, side - count * plate, used + count, bound, counts, best);
        }
        return bound;
    }
}
