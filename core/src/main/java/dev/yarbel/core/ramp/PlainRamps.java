package dev.yarbel.core.ramp;

import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.BarKit;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateSet;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Ramps that need no search. That speed work is warmed up by one set of five at half its load, and that an even ramp may
 * end near 86 %, is common practice, no source; the other shares are starting values of ours.
 */
final class PlainRamps {

    /** Below this share of the top a lift that is warm needs no warm-up. */
    private static final Percent WARM_FROM = Percent.of(60);

    private static final Percent EVEN_END = Percent.of(86);
    private static final Percent EVEN_LEAST = Percent.of(80);
    private static final Percent EVEN_MOST = Percent.of(92);
    private static final int EVEN_STEPS = 4;
    private static final long STEP_TOO_MANY = 60;

    private static final List<Percent> LIGHT = List.of(Percent.of(50), Percent.of(75));
    private static final List<Percent> RUNS = List.of(Percent.of(50), Percent.of(75));

    private PlainRamps() {}

    /** The steps of a ramp from 60 % of its top on, the last one in any case. */
    static Ramp warm(Ramp whole) {
        List<RampStep> steps = whole.steps();
        Mass top = whole.top().total();
        List<RampStep> kept = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            boolean heavy = !steps.get(i).load().percentOf(top).isLessThan(WARM_FROM);
            if (heavy || i == steps.size() - 1) {
                kept.add(steps.get(i));
            }
        }
        return new Ramp(kept, whole.top(), whole.remarks());
    }

    static Ramp speed(AvailableLoads loads, Mass top, Start start) {
        return at(loads, top, List.of(Percent.of(50)), List.of(5), start);
    }

    static Ramp light(AvailableLoads loads, Mass top, Start start) {
        return at(loads, top, LIGHT, List.of(8, 5), start);
    }

    static Ramp runs(AvailableLoads loads, Mass top) {
        return at(loads, top, RUNS, List.of(1, 1), Start.COLD);
    }

    static Ramp machine(AvailableLoads loads, Mass top) {
        return at(loads, top, RUNS, List.of(8, 3), Start.COLD);
    }

    /** Steps at shares of the top, each heavier than the one before, and than what the lift was done with, and lighter than the top. */
    private static Ramp at(AvailableLoads loads, Mass top, List<Percent> shares, List<Integer> reps, Start start) {
        List<RampStep> steps = new ArrayList<>();
        PlateStack on = start.onTheBar();
        Mass reached = start.warm().orElse(Mass.ZERO);
        for (int i = 0; i < shares.size(); i++) {
            LoadedBar loading = start.fromTheFloor()
                    ? lightestPull(loads, top.times(shares.get(i)))
                    : loads.fit(top.times(shares.get(i)), Rounding.NEAREST, on).loading();
            if (loading.total().isGreaterThan(reached) && loading.total().isLessThan(top)) {
                steps.add(new RampStep(loading, reps.get(i)));
                on = loading.stack();
                reached = loading.total();
            }
        }
        LoadedBar topLoading = loads.fit(top, Rounding.NEAREST, on).loading();
        boolean nothingLighter = steps.isEmpty() && start.warm().isEmpty();
        return new Ramp(steps, topLoading, nothingLighter ? Set.of(Ramp.Remark.TOP_IS_THE_BAR) : Set.of());
    }

    /** The load nearest to one asked for that lies at full height, or as it is where none does. */
    private static LoadedBar lightestPull(AvailableLoads loads, Mass asked) {
        LoadedBar nearest = loads.fit(asked, Rounding.NEAREST).loading();
        if (nearest.stack().isFullHeight() || loads.loader().isEmpty()) {
            return nearest;
        }
        BarLoads loader = loads.loader().get();
        return loader.kit().plates().heaviestFirst().stream()
                .map(PlateSet.Pairs::plate)
                .filter(Plate::isFullSize)
                .reduce((heavier, lighter) -> lighter)
                .map(plate -> loader.kit().with(PlateStack.of(plate)))
                .orElse(nearest);
    }

    /**
     * The ramp that adds the same plate each time: the plate by which it ends nearest to 86 % in at most four steps, taking
     * nothing off. Empty where no plate leads to 80 % or above.
     */
    static Optional<Ramp> even(BarLoads loader, Mass top) {
        Ramp best = null;
        long least = Long.MAX_VALUE;
        BarKit kit = loader.kit();
        for (PlateSet.Pairs pairs : kit.plates().heaviestFirst()) {
            List<RampStep> steps = stepsOf(kit, pairs.plate(), pairs.count(), top);
            if (steps.size() > 1) {
                RampStep last = steps.get(steps.size() - 1);
                Percent share = last.load().percentOf(top);
                LoadedBar topLoading = loader.fit(
                                top, Rounding.NEAREST, last.loading().stack())
                        .loading();
                Ramp ramp = new Ramp(steps, topLoading, Set.of());
                long cost = cost(ramp, share);
                boolean full = topLoading.stack().size() > loader.fewestPlates(top) + RampRules.BEYOND_THE_FEWEST;
                if (!share.isLessThan(EVEN_LEAST) && ramp.strips() == 0 && !full && cost < least) {
                    least = cost;
                    best = ramp;
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private static List<RampStep> stepsOf(BarKit kit, Plate plate, int count, Mass top) {
        List<RampStep> steps = new ArrayList<>();
        for (int n = 0; n <= count; n++) {
            LoadedBar loading = kit.with(new PlateStack(Collections.nCopies(n, plate)));
            Percent share = loading.total().percentOf(top);
            if (share.isGreaterThan(EVEN_MOST)) {
                return steps;
            }
            steps.add(new RampStep(loading, RampRules.reps(share, n == 0)));
        }
        return steps;
    }

    private static long cost(Ramp ramp, Percent last) {
        long away = EVEN_END.minus(last).abs().figure().longValue();
        int tooMany = Math.max(0, ramp.steps().size() - 1 - EVEN_STEPS);
        return away * away + STEP_TOO_MANY * tooMany * tooMany;
    }
}
