package dev.yarbel.core.ramp;

import dev.yarbel.core.equipment.BarKit;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.ramp.Track.Stack;
import dev.yarbel.core.ramp.Track.Stop;
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

    private final BarLoads loader;
    private final BarKit kit;
    private final Start start;
    private final Mass topLoad;
    private final long base;
    private final long top;
    private final long warm;
    private final StepCosts costs;
    private final boolean cold;
    private final int fewest;
    private final long extra;
    private final Stack onTheBar;
    private final List<Stack> tops;

    RampSearch(BarLoads loader, Mass topLoad, Start start) {
        this.loader = loader;
        this.kit = loader.kit();
        this.start = start;
        this.topLoad = topLoad;
        this.base = kit.base().tensOfNanograms();
        this.top = topLoad.tensOfNanograms();
        this.cold = start.warm().isEmpty();
        this.warm = start.warm().map(Mass::tensOfNanograms).orElse(-1L);
        this.costs = new StepCosts(kit, topLoad, start);
        this.fewest = loader.fewestPlates(topLoad);
        this.onTheBar = Stack.of(cold ? PlateStack.EMPTY : start.onTheBar(), base);
        this.tops = loader.stacks(topLoad, RampRules.BEYOND_THE_FEWEST).stream()
                .map(stack -> Stack.of(stack, base, down(stack)))
                .toList();
        boolean bigOnesDo = tops.stream()
                .map(stack -> stack.plates().get(stack.size() - 1))
                .anyMatch(outermost -> !outermost.mass().isLessThan(RampRules.BIG_PLATE)
                        && (outermost.castIn() == MassUnit.LB || start.fromTheFloor()));
        this.extra = bigOnesDo ? RampRules.EXTRA_FOR_BIG_ONES : RampRules.EXTRA;
    }

    private record Found(Track track, int[] chosen, long cost) {

        long givingWay() {
            return cost / RampRules.GIVING_WAY;
        }

        Stack top() {
            return track.top();
        }

        long[] loads() {
            return Arrays.stream(chosen)
                    .mapToLong(stop -> track.stops().get(stop).load())
                    .toArray();
        }
    }

    /** The stacks a track goes over to its top, and what it handles. */
    private record Over(List<Stack> stacks, int handled) {}

    Ramp run() {
        List<Over> ways = new ArrayList<>();
        tops.forEach(stack -> ways.add(over(List.of(stack))));
        Found best = best(ways);
        if (best != null && best.givingWay() == 0 && best.top().size() == fewest && costs.isSmooth(best.loads())) {
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
                ? known.track.handled() + RampRules.BEYOND_THE_LEAST
                : Integer.MAX_VALUE;
        for (Stack swap : swaps) {
            int toSwap = onTheBar.handledFor(swap);
            for (Stack stack : tops) {
                int handled = toSwap + swap.handledFor(stack) + stack.down();
                if (handled <= most) {
                    ways.add(new Over(List.of(swap, stack), handled));
                }
            }
        }
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
        return new Over(stacks, handled + on.down());
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
                fixed += leg > 0 && !on.isSwapFor(goal) ? RampRules.STRIP : RampRules.SWAP;
                if (leg > 0) {
                    must[stops.size() - 1] = true;
                }
            }
            for (int plates = shared; plates <= goal.size(); plates++) {
                boolean whole = plates == goal.size();
                if (goal.loads()[plates] > reached && (whole || mayStop(goal, plates))) {
                    stops.add(new Stop(goal, plates));
                    reached = goal.loads()[plates];
                } else if (whole) {
                    return null;
                }
            }
            on = goal;
        }
        if (start.fromTheFloor() && !on.isFullHeight(on.size())) {
            return null;
        }
        return new Track(stops, must, way.handled, fixed + (on.size() - fewest) * extra);
    }

    /** A bar that may be stopped at: not full of small plates, and on full-size discs where it is pulled from the floor. */
    private boolean mayStop(Stack stack, int plates) {
        long load = stack.loads()[plates];
        if (load >= top || start.fromTheFloor() && !stack.isFullHeight(plates)) {
            return false;
        }
        return plates <= RampRules.BEYOND_THE_FEWEST
                || plates <= loader.fewestPlates(Mass.ofTensOfNanograms(load)) + RampRules.BEYOND_THE_FEWEST;
    }

    // ---- the best choice of stops

    private Found best(List<Over> ways) {
        ways.sort(Comparator.comparingInt(Over::handled));
        List<Found> found = new ArrayList<>();
        Found least = null;
        for (Over way : ways) {
            boolean settled = least != null && least.givingWay() == 0;
            if (settled && way.handled > least.track.handled() + RampRules.BEYOND_THE_LEAST) {
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
                    && each.track.handled() <= least.track.handled() + RampRules.BEYOND_THE_LEAST
                    && (best == null || each.cost < best.cost)) {
                best = each;
            }
        }
        return best;
    }

    /** The cheapest choice of stops on a track: over the last two, since a step is measured by the one before. */
    private Found stops(Track track) {
        int size = track.stops().size();
        int last = size - 1;
        long[] load = new long[size];
        for (int i = 0; i < size; i++) {
            load[i] = track.stops().get(i).load();
        }
        // cost[i + 1][j]: the cheapest way that stops at j after i; row 0 stands for nothing before
        long[][] cost = new long[size + 1][size];
        int[][] before = new int[size + 1][size];
        for (long[] row : cost) {
            Arrays.fill(row, Long.MAX_VALUE);
        }
        for (int j = 0; j <= (cold ? 0 : last); j++) {
            cost[0][j] = costs.begin(track, load, j);
            before[0][j] = NOTHING_BEFORE;
            if (track.must()[j]) {
                break;
            }
        }
        for (int j = 0; j < last; j++) {
            for (int i = 0; i <= j; i++) {
                if (cost[i][j] == Long.MAX_VALUE) {
                    continue;
                }
                for (int k = j + 1; k <= last; k++) {
                    long next = cost[i][j] + costs.step(track, load, i - 1, j, k);
                    if (next < cost[j + 1][k]) {
                        cost[j + 1][k] = next;
                        before[j + 1][k] = i - 1;
                    }
                    if (track.must()[k]) {
                        break;
                    }
                }
            }
        }
        int row = 0;
        for (int i = 1; i <= size; i++) {
            row = cost[i][last] < cost[row][last] ? i : row;
        }
        return new Found(track, chosen(before, row, last), track.fixed() + cost[row][last]);
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

    // ---- the ramp

    private Ramp ramp(Found found) {
        List<LoadedBar> loadings = Arrays.stream(found.chosen)
                .mapToObj(stop -> kit.with(found.track.stops().get(stop).loaded()))
                .toList();
        List<RampStep> steps = new ArrayList<>();
        for (LoadedBar loading : loadings.subList(0, loadings.size() - 1)) {
            steps.add(new RampStep(
                    loading,
                    RampRules.reps(
                            loading.total().percentOf(topLoad), loading.stack().isEmpty())));
        }
        return new Ramp(steps, loadings.get(loadings.size() - 1), remarks(loadings));
    }

    private Set<Ramp.Remark> remarks(List<LoadedBar> loadings) {
        Set<Ramp.Remark> remarks = EnumSet.noneOf(Ramp.Remark.class);
        long before = warm;
        long earlier = Long.MAX_VALUE;
        for (int i = 0; i < loadings.size(); i++) {
            long load = loadings.get(i).total().tensOfNanograms();
            if (i > 0) {
                PlateStack on = loadings.get(i - 1).stack();
                PlateStack next = loadings.get(i).stack();
                if (!on.isPrefixOf(next)) {
                    boolean swap = Stack.of(on, base).isSwapFor(Stack.of(next, base));
                    remarks.add(swap ? Ramp.Remark.SWAPS : Ramp.Remark.STRIPS);
                }
            }
            if (before >= 0) {
                if (costs.growsNearTheTop(before, load - before, earlier)) {
                    remarks.add(Ramp.Remark.STEPS_DO_NOT_SHRINK);
                }
                if (i == loadings.size() - 1 && costs.lastStep(before) >= RampRules.BROKEN_RULE) {
                    remarks.add(Ramp.Remark.LAST_STEP_OUT_OF_RANGE);
                }
                earlier = load - before;
            }
            before = load;
        }
        return remarks;
    }
}
