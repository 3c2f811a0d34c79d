package dev.yarbel.core.ramp;

import dev.yarbel.core.equipment.Kit;
import dev.yarbel.core.equipment.Loader;
import dev.yarbel.core.equipment.Loading;
import dev.yarbel.core.equipment.Loads;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Draws up the warm-up ramp to a top load from the plates that are there.
 *
 * <p>With the heaviest plate innermost and nothing coming off, each step's stack is the beginning of the next one's, so a
 * ramp is a way through the {@link StackGraph} from the bare bar to the top. The cheapest way by {@link RampRules} is
 * found by dynamic programming from the lightest stack to the heaviest: for each stack, the cheapest ramp to it for each
 * last step that could matter (a larger one leaves more room, so a ramp is dropped only for one that is no dearer and
 * no tighter).
 *
 * <p>The first search keeps to all rules. Where it finds nothing, a second one may take plates off or break a rule, at a
 * price above everything else, and the ramp says so. So a ramp within the rules that only adds plates is found wherever
 * there is one, and else one with the fewest strips.
 */
public final class RampPlanner {

    private RampPlanner() {}

    /**
     * The ramp to a top load.
     *
     * @throws IllegalArgumentException when the top cannot be loaded exactly; round it first
     */
    public static Ramp plan(Loads loads, Mass top) {
        if (!loads.canLoad(top)) {
            throw new IllegalArgumentException("this kit cannot load " + top);
        }
        return loads instanceof Loader loader ? withPlates(loader.kit(), top) : withPieces(loads, top);
    }

    /**
     * The ramp of a kind to a top load. Where the same plates each time lead nowhere near the top, an even ramp is a
     * shrinking one; a row of pieces is the same for both.
     *
     * @throws IllegalArgumentException when the top cannot be loaded exactly; round it first
     */
    public static Ramp plan(Loads loads, Mass top, RampKind kind) {
        return switch (kind) {
            case SHRINKING -> plan(loads, top);
            case EVEN ->
                (loads instanceof Loader loader ? PlainRamps.even(loads, loader.kit(), top) : Optional.<Ramp>empty())
                        .orElseGet(() -> plan(loads, top));
            case WARM -> PlainRamps.warm(plan(loads, top));
            case SPEED -> PlainRamps.speed(loads, top);
            case RUNS -> PlainRamps.runs(loads, top);
            case MACHINE -> PlainRamps.machine(loads, top);
        };
    }

    /** Up a row of fixed pieces: the ones nearest to the usual shares, each heavier than the one before. */
    private static Ramp withPieces(Loads row, Mass top) {
        List<RampStep> steps = new ArrayList<>();
        for (Percent share : RampRules.SHARES_OF_PIECES) {
            Mass load = row.round(top.times(share), Rounding.NEAREST);
            boolean heavier = steps.isEmpty()
                    || load.isGreaterThan(steps.get(steps.size() - 1).load());
            if (heavier && load.isLessThan(top)) {
                Loading piece = row.fit(load, Rounding.NEAREST).loading();
                steps.add(new RampStep(piece, RampRules.reps(load.percentOf(top), false)));
            }
        }
        Loading topPiece = row.fit(top, Rounding.NEAREST).loading();
        return new Ramp(steps, topPiece, steps.isEmpty() ? Set.of(Ramp.Remark.TOP_IS_THE_BAR) : Set.of());
    }

    private static Ramp withPlates(Kit kit, Mass top) {
        if (top.equals(kit.base())) {
            return new Ramp(List.of(), kit.with(PlateStack.EMPTY), Set.of(Ramp.Remark.TOP_IS_THE_BAR));
        }
        Search strict = new Search(kit, top, true);
        Label best = strict.run();
        return best != null ? strict.ramp(best) : relaxed(kit, top);
    }

    private static Ramp relaxed(Kit kit, Mass top) {
        Search search = new Search(kit, top, false);
        return search.ramp(search.run());
    }

    /** A ramp up to one stack: where it came from, its last step, what it cost, and how. */
    private record Label(int node, Label before, long lastStep, long cost, boolean stripped) {}

    private static final class Search {

        private final Kit kit;
        private final boolean strict;
        private final StackGraph graph;
        private final long base;
        private final long top;
        private final long shrinkFrom;
        private final long heavyBy;
        private final long lastLeast;
        private final long lastMost;
        private final long shortStep = RampRules.SHORT_STEP.tensOfNanograms();
        private final boolean[] smallChange;
        private final List<List<Label>> labels = new ArrayList<>();

        Search(Kit kit, Mass top, boolean strict) {
            this.kit = kit;
            this.strict = strict;
            this.base = kit.base().tensOfNanograms();
            this.top = top.tensOfNanograms();
            this.shrinkFrom = top.times(RampRules.SHRINK_FROM).tensOfNanograms();
            this.heavyBy = top.times(RampRules.HEAVY_BY).tensOfNanograms();
            this.lastLeast = top.times(RampRules.LAST_LEAST).tensOfNanograms();
            this.lastMost = top.times(RampRules.LAST_MOST).tensOfNanograms();
            this.graph = new StackGraph(kit.plates().heaviestFirst(), (this.top - base) / 2, strict);
            Mass small = top.times(RampRules.SMALL_CHANGE);
            this.smallChange = new boolean[graph.size()];
            for (int i = 0; i < graph.size(); i++) {
                Plate outermost = graph.outermost(i);
                smallChange[i] = outermost != null && outermost.mass().isLessThan(small);
                labels.add(new ArrayList<>());
            }
        }

        /** The cheapest ramp; null when none keeps to the rules of this search. */
        Label run() {
            labels.get(0).add(new Label(0, null, Long.MAX_VALUE, RampRules.SET, false));
            int[] fromBare = graph.platesFrom(0);
            Label best = null;
            for (int node = 0; node < graph.size(); node++) {
                if (load(node) == top) {
                    for (Label label : labels.get(node)) {
                        best = best == null || label.cost < best.cost ? label : best;
                    }
                } else if (!labels.get(node).isEmpty()) {
                    extend(node, fromBare);
                }
            }
            return best;
        }

        private void extend(int node, int[] fromBare) {
            int[] plates = graph.platesFrom(node);
            for (int next = node + 1; next < graph.size(); next++) {
                if (load(next) == load(node) || !mayStopAt(next)) {
                    continue;
                }
                for (Label label : labels.get(node)) {
                    if (plates[next] > 0) {
                        offer(label, next, plates[next], false);
                    } else if (!strict) {
                        offer(label, next, fromBare[next], true);
                    }
                }
            }
        }

        private boolean mayStopAt(int node) {
            return load(node) == top || !strict || load(node) <= lastMost && !smallChange[node];
        }

        private void offer(Label from, int next, int plates, boolean strip) {
            long here = load(from.node);
            long there = load(next);
            long step = there - here;
            long cost = from.cost
                    + RampRules.jump(step * 1000 / top)
                    + RampRules.PLATE * plates
                    + (strip ? RampRules.STRIP : 0);
            if (here >= shrinkFrom && step >= from.lastStep) {
                cost += RampRules.BROKEN_RULE;
            } else if (step > from.lastStep) {
                cost += RampRules.GROWING_STEP;
            }
            if (there == top) {
                if (!mayBeLast(here)) {
                    cost += RampRules.BROKEN_RULE;
                }
            } else {
                cost += RampRules.SET + (smallChange[next] ? RampRules.SMALL_PLATE : 0);
                if (here < shrinkFrom && there > heavyBy) {
                    cost += RampRules.LATE_START;
                }
            }
            if (strict && cost >= RampRules.BROKEN_RULE) {
                return;
            }
            keep(new Label(next, from, step, cost, strip));
        }

        /** A last warm-up in range, or so close to a light top that nothing between is needed. */
        private boolean mayBeLast(long load) {
            return load <= lastMost && load >= lastLeast || load < lastLeast && top - load <= shortStep;
        }

        private void keep(Label label) {
            List<Label> known = labels.get(label.node);
            for (Label other : known) {
                if (other.cost <= label.cost && other.lastStep >= label.lastStep) {
                    return;
                }
            }
            known.removeIf(other -> other.cost >= label.cost && other.lastStep <= label.lastStep);
            known.add(label);
        }

        private long load(int node) {
            return base + 2 * graph.side(node);
        }

        Ramp ramp(Label last) {
            List<Label> way = new ArrayList<>();
            for (Label label = last; label != null; label = label.before) {
                way.add(0, label);
            }
            List<Loading> loadings = new ArrayList<>();
            List<Plate> on = List.of();
            for (Label label : way) {
                List<Plate> plates = new ArrayList<>();
                if (label.before != null) {
                    plates.addAll(label.stripped ? List.of() : on);
                    plates.addAll(graph.platesBetween(label.stripped ? 0 : label.before.node, label.node));
                }
                on = plates;
                loadings.add(kit.with(new PlateStack(plates)));
            }
            Loading topLoading = loadings.remove(loadings.size() - 1);
            Mass topLoad = topLoading.total();
            List<RampStep> steps = new ArrayList<>();
            for (Loading loading : loadings) {
                Percent share = loading.total().percentOf(topLoad);
                steps.add(new RampStep(
                        loading, RampRules.reps(share, loading.stack().isEmpty())));
            }
            return new Ramp(steps, topLoading, remarks(way));
        }

        private Set<Ramp.Remark> remarks(List<Label> way) {
            Set<Ramp.Remark> remarks = EnumSet.noneOf(Ramp.Remark.class);
            for (int i = 1; i < way.size(); i++) {
                Label label = way.get(i);
                Label before = way.get(i - 1);
                long here = load(before.node);
                if (label.stripped) {
                    remarks.add(Ramp.Remark.STRIPS);
                }
                if (here >= shrinkFrom && load(label.node) - here >= before.lastStep) {
                    remarks.add(Ramp.Remark.STEPS_DO_NOT_SHRINK);
                }
            }
            long lastWarmUp = load(way.get(way.size() - 2).node);
            if (!mayBeLast(lastWarmUp)) {
                remarks.add(Ramp.Remark.LAST_STEP_OUT_OF_RANGE);
            }
            return remarks;
        }
    }
}
