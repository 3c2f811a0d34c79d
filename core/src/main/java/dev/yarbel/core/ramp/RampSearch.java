package dev.yarbel.core.ramp;

import dev.yarbel.core.equipment.Kit;
import dev.yarbel.core.equipment.Loader;
import dev.yarbel.core.equipment.Loading;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateSet;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * Finds the best ramp to a top by {@link RampRules}, with the way down behind it.
 *
 * <p>With the heaviest plate innermost and nothing coming off, each step's stack is the beginning of the next one's. So
 * once it is settled which stack makes the top, and which ones there is a swap at on the way, if any, all that can be
 * stopped at is the beginnings of these: a <i>track</i> of a dozen stops at most. How many plates a track handles does not
 * depend on where it stops. Tracks are tried from those that handle least; on each, dynamic programming over the last two
 * stops finds the cheapest choice of stops. Of the tracks that give way as little as possible, those stay that handle up to
 * two plates more than the least.
 *
 * <p>Tracks with one swap are tried where none without one keeps to the rules in steps that never grow, with the fewest
 * plates on the top; with two swaps, in gyms so poor that this does not do either.
 */
final class RampSearch {

    private static final int MOST_PAIRS = 4000;
    private static final Percent SWAP_FROM = Percent.of(40);
    private static final int NOTHING_BEFORE = -1;
    private static final int WHOLE = 100;

    private final Loader loader;
    private final Kit kit;
    private final Start start;
    private final Mass topLoad;
    private final long base;
    private final long top;
    private final long warm;
    private final long shrinkFrom;
    private final long shrinkWideFrom;
    private final long heavyBy;
    private final long lastLeast;
    private final long lastMost;
    private final long lastWideLeast;
    private final long lastWideMost;
    private final long smallPlate;
    private final long shortStep = RampRules.SHORT_STEP.tensOfNanograms();
    private final boolean cold;
    private final long lightestPull;
    private final int fewest;
    private final long extra;
    private final List<Long> bigPlates;
    private final long lightestBigPlate;
    private final Stack onTheBar;
    private List<Stack> tops;

    RampSearch(Loader loader, Mass topLoad, Start start) {
        this.loader = loader;
        this.kit = loader.kit();
        this.start = start;
        this.topLoad = topLoad;
        this.base = kit.base().tensOfNanograms();
        this.top = topLoad.tensOfNanograms();
        this.cold = start.warm().isEmpty();
        this.warm = start.warm().map(Mass::tensOfNanograms).orElse(-1L);
        this.shrinkFrom = share(RampRules.SHRINK_FROM);
        this.shrinkWideFrom = share(RampRules.SHRINK_WIDE_FROM);
        this.heavyBy = share(RampRules.HEAVY_BY);
        this.lastLeast = share(RampRules.LAST_LEAST);
        this.lastMost = share(RampRules.LAST_MOST);
        this.lastWideLeast = share(RampRules.LAST_WIDE_LEAST);
        this.lastWideMost = share(RampRules.LAST_WIDE_MOST);
        this.smallPlate = share(RampRules.SMALL_CHANGE);
        List<Plate> plates =
                kit.plates().heaviestFirst().stream().map(PlateSet.Pairs::plate).toList();
        this.bigPlates = plates.stream()
                .map(Plate::mass)
                .filter(mass -> !mass.isLessThan(RampRules.BIG_PLATE))
                .map(Mass::tensOfNanograms)
                .toList();
        this.lightestBigPlate =
                bigPlates.stream().min(Comparator.naturalOrder()).orElse(top);
        this.lightestPull = plates.stream()
                .filter(Plate::isFullSize)
                .map(plate -> base + 2 * plate.mass().tensOfNanograms())
                .min(Comparator.naturalOrder())
                .orElse(base);
        this.fewest = loader.fewestPlates(topLoad);
        this.onTheBar = Stack.of(cold ? PlateStack.EMPTY : start.onTheBar(), base);
        this.tops = loader.stacks(topLoad, RampRules.BEYOND_THE_FEWEST).stream()
                .map(stack -> Stack.of(stack, base, down(stack)))
                .toList();
        boolean bigOnesDo = tops.stream()
                .map(stack -> stack.plates.get(stack.size() - 1))
                .anyMatch(outermost -> !outermost.mass().isLessThan(RampRules.BIG_PLATE)
                        && (outermost.castIn() == MassUnit.LB || start.fromTheFloor()));
        this.extra = bigOnesDo ? RampRules.EXTRA_FOR_BIG_ONES : RampRules.EXTRA;
    }

    private long share(Percent percent) {
        return (top * percent.figure().longValue() + WHOLE / 2) / WHOLE;
    }

    /** A stack with the load of the bar at each of its beginnings. */
    private record Stack(List<Plate> plates, long[] loads, int down) {

        static Stack of(PlateStack stack, long base) {
            return of(stack, base, 0);
        }

        /** @param down the plates handled on the way down from it */
        static Stack of(PlateStack stack, long base, int down) {
            long[] loads = new long[stack.size() + 1];
            loads[0] = base;
            for (int i = 0; i < stack.size(); i++) {
                loads[i + 1] = loads[i] + 2 * stack.plates().get(i).mass().tensOfNanograms();
            }
            return new Stack(stack.plates(), loads, down);
        }

        int size() {
            return plates.size();
        }

        long load() {
            return loads[plates.size()];
        }

        int sharedWith(Stack other) {
            int shared = 0;
            int most = Math.min(size(), other.size());
            while (shared < most && same(plates.get(shared), other.plates.get(shared))) {
                shared++;
            }
            return shared;
        }

        private static boolean same(Plate one, Plate other) {
            return one == other || one.equals(other);
        }

        int handledFor(Stack next) {
            int shared = sharedWith(next);
            return size() + next.size() - 2 * shared;
        }
    }

    /** So many plates of a stack, from the inside out. */
    private record Stop(Stack stack, int plates) {

        long load() {
            return stack.loads[plates];
        }

        PlateStack loaded() {
            return new PlateStack(stack.plates.subList(0, plates));
        }
    }

    /**
     * What can be stopped at on the way to a top, lightest first and the top last.
     *
     * @param must which stops cannot be left out, since plates come off there
     * @param handled plates a side put on and taken off, the way down included
     */
    private record Track(List<Stop> stops, boolean[] must, int handled, long fixed) {}

    private record Found(Track track, int[] chosen, long cost) {

        long givingWay() {
            return cost / RampRules.GIVING_WAY;
        }
    }

    /** The stacks a track goes over to its top, and what it handles. */
    private record Over(List<Stack> stacks, int handled) {}

    Ramp run() {
        List<Over> ways = new ArrayList<>();
        tops.forEach(stack -> ways.add(over(List.of(stack))));
        Found best = best(ways);
        if (best != null && best.givingWay() == 0 && top(best).size() == fewest && isSmooth(best)) {
            return ramp(best);
        }
        addSwaps(ways, swaps(0), best);
        best = best(ways);
        if (best.givingWay() == 0) {
            return ramp(best);
        }
        List<Stack> all = swaps(RampRules.BEYOND_THE_FEWEST);
        addSwaps(ways, all, null);
        if ((long) all.size() * all.size() * tops.size() <= MOST_PAIRS) {
            for (Stack first : all) {
                for (Stack second : all) {
                    if (first.load() < second.load()) {
                        tops.forEach(stack -> ways.add(over(List.of(first, second, stack))));
                    }
                }
            }
        }
        return ramp(best(ways));
    }

    /** @param known a ramp that gives no way, so that what handles far more than it need not be looked at */
    private void addSwaps(List<Over> ways, List<Stack> swaps, Found known) {
        int most = known != null && known.givingWay() == 0
                ? known.track.handled + RampRules.BEYOND_THE_LEAST
                : Integer.MAX_VALUE;
        for (Stack swap : swaps) {
            int toSwap = onTheBar.handledFor(swap);
            for (Stack stack : tops) {
                int handled = toSwap + swap.handledFor(stack) + stack.down;
                if (handled <= most) {
                    ways.add(new Over(List.of(swap, stack), handled));
                }
            }
        }
    }

    /** Whether no step is larger than the one before and the last warm-up lies where it should. */
    private boolean isSmooth(Found found) {
        long before = warm;
        long earlier = Long.MAX_VALUE;
        for (int i = 0; i < found.chosen.length; i++) {
            long load = found.track.stops.get(found.chosen[i]).load();
            if (before >= 0) {
                if (load - before > earlier || i == found.chosen.length - 1 && lastStep(before) > 0) {
                    return false;
                }
                earlier = load - before;
            }
            before = load;
        }
        return true;
    }

    private static Stack top(Found found) {
        return found.track.stops.get(found.track.stops.size() - 1).stack;
    }

    /** What plates may come off of: for each load from 40 % to just under the top, so many plates more than the fewest. */
    private List<Stack> swaps(int beyond) {
        Mass from = topLoad.times(SWAP_FROM);
        Mass to = topLoad.times(RampRules.LAST_WIDE_MOST);
        List<Stack> swaps = new ArrayList<>();
        for (Mass load : loader.loads()) {
            if (load.isGreaterThan(to)) {
                break;
            }
            if (!load.isLessThan(from) && load.tensOfNanograms() > Math.max(base, warm)) {
                loader.stacks(load, beyond).forEach(stack -> swaps.add(Stack.of(stack, base)));
            }
        }
        return swaps;
    }

    private Over over(List<Stack> stacks) {
        int handled = 0;
        Stack on = onTheBar;
        for (Stack stack : stacks) {
            handled += on.handledFor(stack);
            on = stack;
        }
        return new Over(stacks, handled + on.down);
    }

    /** The plates handled on the way down from a stack. */
    private int down(PlateStack from) {
        int handled = 0;
        PlateStack on = from;
        for (Mass load : start.down()) {
            PlateStack next = loader.fit(load, Rounding.NEAREST, on).loading().stack();
            handled += on.handledFor(next);
            on = next;
        }
        return handled;
    }

    // ---- tracks

    /** The track over some stacks; null where it would lead nowhere new. */
    private Track track(Over way) {
        List<Stop> stops = new ArrayList<>();
        boolean[] must = new boolean[64];
        Stack on = onTheBar;
        long reached = warm;
        long fixed = RampRules.PLATE * way.handled;
        if (cold && !start.fromTheFloor()) {
            stops.add(new Stop(onTheBar, 0));
            reached = base;
        }
        for (int leg = 0; leg < way.stacks.size(); leg++) {
            Stack goal = way.stacks.get(leg);
            int shared = on.sharedWith(goal);
            int off = on.size() - shared;
            if (leg > 0 && off == 0) {
                return null;
            }
            if (off > 0) {
                fixed += leg > 0 && !isSwap(on, goal, shared) ? RampRules.STRIP : RampRules.SWAP;
                if (leg > 0) {
                    must[stops.size() - 1] = true;
                }
            }
            for (int plates = shared; plates <= goal.size(); plates++) {
                boolean whole = plates == goal.size();
                if (goal.loads[plates] > reached && (whole || mayStop(goal, plates))) {
                    stops.add(new Stop(goal, plates));
                    reached = goal.loads[plates];
                } else if (whole) {
                    return null;
                }
            }
            on = goal;
        }
        if (start.fromTheFloor() && !isFullHeight(on, on.size())) {
            return null;
        }
        return new Track(stops, must, way.handled, fixed + (on.size() - fewest) * extra);
    }

    /** Whether up to two plates come off for a larger one. */
    private static boolean isSwap(Stack on, Stack goal, int shared) {
        return on.size() - shared <= RampRules.SWAPPED_AT_ONCE
                && goal.size() > shared
                && goal.plates
                        .get(shared)
                        .mass()
                        .isGreaterThan(on.plates.get(shared).mass());
    }

    /** A bar that may be stopped at: not full of small plates, and on full-size discs where it is pulled from the floor. */
    private boolean mayStop(Stack stack, int plates) {
        long load = stack.loads[plates];
        if (load >= top || start.fromTheFloor() && !isFullHeight(stack, plates)) {
            return false;
        }
        return plates <= RampRules.BEYOND_THE_FEWEST
                || plates <= loader.fewestPlates(Mass.ofTensOfNanograms(load)) + RampRules.BEYOND_THE_FEWEST;
    }

    private static boolean isFullHeight(Stack stack, int plates) {
        for (int i = 0; i < plates; i++) {
            if (stack.plates.get(i).isFullSize()) {
                return true;
            }
        }
        return false;
    }

    // ---- the best choice of stops

    private Found best(List<Over> ways) {
        ways.sort(Comparator.comparingInt(Over::handled));
        List<Found> found = new ArrayList<>();
        Found least = null;
        for (Over way : ways) {
            boolean settled = least != null && least.givingWay() == 0;
            if (settled && way.handled > least.track.handled + RampRules.BEYOND_THE_LEAST) {
                break;
            }
            Track track = track(way);
            if (track != null) {
                Found here = stops(track);
                found.add(here);
                if (least == null || here.givingWay() < least.givingWay()) {
                    least = here;
                }
            }
        }
        Found best = null;
        for (Found each : found) {
            if (each.givingWay() == least.givingWay()
                    && each.track.handled <= least.track.handled + RampRules.BEYOND_THE_LEAST
                    && (best == null || each.cost < best.cost)) {
                best = each;
            }
        }
        return best;
    }

    /** The cheapest choice of stops on a track: over the last two, since a step is measured by the one before. */
    private Found stops(Track track) {
        int size = track.stops.size();
        int last = size - 1;
        long[] load = new long[size];
        for (int i = 0; i < size; i++) {
            load[i] = track.stops.get(i).load();
        }
        // cost[i + 1][j]: the cheapest way that stops at j after i; row 0 stands for nothing before
        long[][] cost = new long[size + 1][size];
        int[][] before = new int[size + 1][size];
        for (long[] row : cost) {
            Arrays.fill(row, Long.MAX_VALUE);
        }
        for (int j = 0; j <= (cold ? 0 : last); j++) {
            cost[0][j] = begin(track, load, j);
            before[0][j] = NOTHING_BEFORE;
            if (track.must[j]) {
                break;
            }
        }
        for (int j = 0; j < last; j++) {
            for (int i = 0; i <= j; i++) {
                if (cost[i][j] == Long.MAX_VALUE) {
                    continue;
                }
                for (int k = j + 1; k <= last; k++) {
                    long next = cost[i][j] + step(track, load, i - 1, j, k);
                    if (next < cost[j + 1][k]) {
                        cost[j + 1][k] = next;
                        before[j + 1][k] = i - 1;
                    }
                    if (track.must[k]) {
                        break;
                    }
                }
            }
        }
        int row = 0;
        for (int i = 1; i <= size; i++) {
            row = cost[i][last] < cost[row][last] ? i : row;
        }
        return new Found(track, chosen(before, row, last), track.fixed + cost[row][last]);
    }

    private static int[] chosen(int[][] before, int row, int last) {
        int[] reversed = new int[before.length];
        int count = 0;
        int at = last;
        int previous = row - 1;
        while (true) {
            reversed[count++] = at;
            if (previous == NOTHING_BEFORE) {
                break;
            }
            int further = before[previous + 1][at];
            at = previous;
            previous = further;
        }
        int[] chosen = new int[count];
        for (int i = 0; i < count; i++) {
            chosen[i] = reversed[count - 1 - i];
        }
        return chosen;
    }

    /** The first stop: the bare bar or the lightest pull; or a step from what the lift was done with before. */
    private long begin(Track track, long[] load, int stop) {
        boolean isTop = stop == load.length - 1;
        if (cold) {
            long jump = start.fromTheFloor() ? RampRules.jump((load[stop] - lightestPull) * 1000 / top) : 0;
            boolean lighterFirst = isTop && start.fromTheFloor() && top > lightestPull;
            return jump + RampRules.SET + (lighterFirst ? RampRules.BROKEN_RULE : 0);
        }
        long cost = RampRules.jump((load[stop] - warm) * 1000 / top);
        return cost + (isTop ? lastStep(warm) : set(track.stops.get(stop)));
    }

    private long step(Track track, long[] load, int i, int j, int k) {
        long here = load[j];
        long step = load[k] - here;
        long earlier = i >= 0 ? here - load[i] : cold ? Long.MAX_VALUE : here - warm;
        long cost = RampRules.jump(step * 1000 / top);
        if (here >= shrinkFrom && !isSmaller(step, earlier)) {
            cost += here >= shrinkWideFrom ? RampRules.BROKEN_RULE : RampRules.LATE_SHRINKING;
        } else if (step > earlier) {
            cost += RampRules.GROWING_STEP;
        }
        if (k == load.length - 1) {
            return cost + lastStep(here);
        }
        if (here < shrinkFrom && load[k] > heavyBy) {
            cost += RampRules.LATE_START;
        }
        boolean bigPlateWouldDo = here + 2 * lightestBigPlate <= shrinkWideFrom;
        if (load[k] <= shrinkWideFrom && bigPlateWouldDo && !bigPlates.contains(step / 2)) {
            cost += RampRules.NOT_A_BIG_PLATE;
        }
        return cost + set(track.stops.get(k));
    }

    private boolean isSmaller(long step, long earlier) {
        return step < earlier || step == earlier && step <= shortStep;
    }

    private long set(Stop stop) {
        boolean small =
                stop.plates > 0 && stop.stack.plates.get(stop.plates - 1).mass().tensOfNanograms() < smallPlate;
        return RampRules.SET + (small ? RampRules.SMALL_PLATE : 0);
    }

    /** What it costs that this load is the last before the top. */
    private long lastStep(long load) {
        if (load <= lastMost && load >= lastLeast || load < lastLeast && top - load <= shortStep) {
            return 0;
        }
        return load <= lastWideMost && load >= lastWideLeast ? RampRules.LAST_WIDE : RampRules.BROKEN_RULE;
    }

    // ---- the ramp

    private Ramp ramp(Found found) {
        List<Loading> loadings = Arrays.stream(found.chosen)
                .mapToObj(stop -> kit.with(found.track.stops.get(stop).loaded()))
                .toList();
        List<RampStep> steps = new ArrayList<>();
        for (Loading loading : loadings.subList(0, loadings.size() - 1)) {
            steps.add(new RampStep(
                    loading,
                    RampRules.reps(
                            loading.total().percentOf(topLoad), loading.stack().isEmpty())));
        }
        return new Ramp(steps, loadings.get(loadings.size() - 1), remarks(loadings));
    }

    private Set<Ramp.Remark> remarks(List<Loading> loadings) {
        Set<Ramp.Remark> remarks = EnumSet.noneOf(Ramp.Remark.class);
        long before = warm;
        long earlier = Long.MAX_VALUE;
        for (int i = 0; i < loadings.size(); i++) {
            long load = loadings.get(i).total().tensOfNanograms();
            if (i > 0) {
                PlateStack on = loadings.get(i - 1).stack();
                PlateStack next = loadings.get(i).stack();
                if (!on.isPrefixOf(next)) {
                    boolean swap = isSwap(Stack.of(on, base), Stack.of(next, base), on.sharedWith(next));
                    remarks.add(swap ? Ramp.Remark.SWAPS : Ramp.Remark.STRIPS);
                }
            }
            if (before >= 0) {
                if (before >= shrinkFrom && !isSmaller(load - before, earlier)) {
                    remarks.add(Ramp.Remark.STEPS_DO_NOT_SHRINK);
                }
                if (i == loadings.size() - 1 && lastStep(before) >= RampRules.BROKEN_RULE) {
                    remarks.add(Ramp.Remark.LAST_STEP_OUT_OF_RANGE);
                }
                earlier = load - before;
            }
            before = load;
        }
        return remarks;
    }
}
