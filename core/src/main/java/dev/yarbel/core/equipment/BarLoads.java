package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicReferenceArray;

/**
 * Everything that can be put on one kit's bar.
 *
 * <p>All sums of plates that one side can make are worked out once, for every tail of the inventory sorted heaviest
 * first, so that asking for a load is a binary search and finding its plates never runs into a dead end. Taking the
 * heaviest plate that fits, the greedy choice, is wrong for many inventories (60 from 50, 30 and 30), so the fewest
 * plates are found by branch and bound.
 *
 * <p>One side holds at most {@link #MOST_A_SIDE}. Instances never change what they say and are worth keeping.
 */
public final class BarLoads extends AvailableLoads {

    /** More than any sleeve takes. */
    public static final Mass MOST_A_SIDE = Mass.ofKg(400);

    private final BarKit kit;
    private final List<PlateSet.Pairs> kinds;
    /** For each kind of plate, the sorted sums that it and all lighter kinds can make. */
    private final long[][] sums;

    /** The whole loads that the sums of all kinds make, lightest first. */
    private final long[] totals;
    /** What makes each of them with the fewest plates, once it was asked for. */
    private final AtomicReferenceArray<LoadedBar> loadings;

    private volatile List<Mass> all;
    private final Map<Long, Integer> fewestBySide = new ConcurrentHashMap<>();
    private final Map<Wanted, List<PlateStack>> stacksBySide = new ConcurrentHashMap<>();

    private BarLoads(BarKit kit) {
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
        long base = kit.base().tensOfNanograms();
        this.totals = Arrays.stream(sums[0]).map(side -> base + 2 * side).toArray();
        this.loadings = new AtomicReferenceArray<>(totals.length);
    }

    /** Works out what can be loaded from a kit. */
    public static BarLoads of(BarKit kit) {
        return new BarLoads(kit);
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

    public BarKit kit() {
        return kit;
    }

    @Override
    public String name() {
        return kit.bar().name();
    }

    @Override
    public Optional<BarLoads> loader() {
        return Optional.of(this);
    }

    @Override
    int size() {
        return totals.length;
    }

    @Override
    long tensOfNanogramsAt(int index) {
        return totals[index];
    }

    @Override
    LoadedBar loading(int index) {
        LoadedBar known = loadings.get(index);
        if (known == null) {
            known = kit.with(fewest(0, Integer.MAX_VALUE, sums[0][index]));
            loadings.set(index, known);
        }
        return known;
    }

    @Override
    LoadedBar loading(int index, PlateStack onTheBar) {
        return kit.with(keeping(onTheBar, sums[0][index]));
    }

    /** The fewest plates a side that make a load; −1 where it cannot be made. */
    public int fewestPlates(Mass load) {
        long side = side(load);
        return side < 0 ? -1 : fewestCount(side);
    }

    private int fewestCount(long side) {
        return fewestBySide.computeIfAbsent(
                side,
                s -> search(
                        0, Integer.MAX_VALUE, s, 0, Integer.MAX_VALUE, new int[kinds.size()], new int[kinds.size()]));
    }

    /**
     * Every stack that makes a load with at most so many plates a side more than the fewest, those with fewer plates first;
     * none where it cannot be made.
     */
    public List<PlateStack> stacks(Mass load, int beyondTheFewest) {
        long side = side(load);
        return side < 0 ? List.of() : stacksBySide.computeIfAbsent(new Wanted(side, beyondTheFewest), this::collected);
    }

    private record Wanted(long side, int beyond) {}

    private List<PlateStack> collected(Wanted wanted) {
        List<PlateStack> found = new ArrayList<>();
        collect(0, wanted.side, fewestCount(wanted.side) + wanted.beyond, new ArrayList<>(), found);
        found.sort(Comparator.comparingInt(PlateStack::size));
        return List.copyOf(found);
    }

    private void collect(int kind, long side, int left, List<Plate> on, List<PlateStack> found) {
        if (side == 0) {
            found.add(new PlateStack(on));
            return;
        }
        if (kind == kinds.size() || !makes(kind, side)) {
            return;
        }
        Plate plate = kinds.get(kind).plate();
        long mass = plate.mass().tensOfNanograms();
        if (side > left * mass) {
            return;
        }
        int most = (int) Math.min(Math.min(left, kinds.get(kind).count()), side / mass);
        for (int count = most; count >= 0; count--) {
            List<Plate> more = new ArrayList<>(on);
            more.addAll(Collections.nCopies(count, plate));
            collect(kind + 1, side - count * mass, left - count, more, found);
        }
    }

    /** What one side weighs for a load; −1 where no side makes it. */
    private long side(Mass load) {
        long both = load.minus(kit.base()).tensOfNanograms();
        return both < 0 || both % 2 != 0 || !makes(0, both / 2) ? -1 : both / 2;
    }

    /** Every load there is, worked out once. */
    @Override
    public List<Mass> loads() {
        List<Mass> known = all;
        if (known == null) {
            known = super.loads();
            all = known;
        }
        return known;
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
