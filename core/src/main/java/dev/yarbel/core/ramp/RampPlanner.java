package dev.yarbel.core.ramp;

import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Draws up the warm-up ramp to a top load from the plates that are there, by {@link RampRules}. */
public final class RampPlanner {

    private RampPlanner() {}

    /**
     * The ramp to a top load from a cold start.
     *
     * @throws IllegalArgumentException when the top cannot be loaded exactly; round it first
     */
    public static Ramp plan(AvailableLoads loads, Mass top) {
        return plan(loads, top, RampKind.SHRINKING, Start.COLD);
    }

    /** The ramp of a kind to a top load from a cold start; see {@link #plan(AvailableLoads, Mass, RampKind, Start)}. */
    public static Ramp plan(AvailableLoads loads, Mass top, RampKind kind) {
        return plan(loads, top, kind, Start.COLD);
    }

    /**
     * The ramp of a kind to a top load. Where the same plates each time lead nowhere near the top, an even ramp is a
     * shrinking one and says so; a row of pieces is the same for both.
     *
     * @throws IllegalArgumentException when the top cannot be loaded exactly; round it first
     */
    public static Ramp plan(AvailableLoads loads, Mass top, RampKind kind, Start start) {
        if (!loads.canLoad(top)) {
            throw new IllegalArgumentException("this kit cannot load " + top);
        }
        return switch (kind) {
            case SHRINKING -> shrinking(loads, top, start);
            case EVEN -> even(loads, top, start);
            case WARM -> PlainRamps.warm(shrinking(loads, top, start));
            case SPEED -> PlainRamps.speed(loads, top, start);
            case LIGHT -> PlainRamps.light(loads, top, start);
            case RUNS -> PlainRamps.runs(loads, top);
            case MACHINE -> PlainRamps.machine(loads, top);
        };
    }

    /**
     * The ramp to a load beyond what the lifter can do: warm-ups to within their own ability, the last of them a single,
     * and then the load, handled with a spotter.
     *
     * @param ability the load within the lifter's own ability that the warm-ups lead to
     */
    public static Ramp beyond(AvailableLoads loads, Mass top, Mass ability, Start start) {
        Mass last = loads.round(ability, Rounding.DOWN);
        if (!last.isLessThan(top)) {
            return plan(loads, top, RampKind.SHRINKING, start);
        }
        List<Mass> onwards = new ArrayList<>(List.of(top));
        onwards.addAll(start.down());
        Ramp within = plan(loads, last, RampKind.SHRINKING, start.then(onwards));
        List<RampStep> steps = new ArrayList<>(within.steps());
        steps.add(new RampStep(within.top(), 1));
        Set<Ramp.Remark> remarks = EnumSet.of(Ramp.Remark.HANDLED);
        remarks.addAll(within.remarks());
        return new Ramp(
                steps, loads.fit(top, Rounding.NEAREST, within.top().stack()).loading(), remarks);
    }

    private static Ramp even(AvailableLoads loads, Mass top, Start start) {
        if (loads.loader().isEmpty() || start.warm().isPresent() || start.fromTheFloor()) {
            return shrinking(loads, top, start);
        }
        return PlainRamps.even(loads.loader().get(), top).orElseGet(() -> {
            Ramp ramp = shrinking(loads, top, start);
            Set<Ramp.Remark> remarks = EnumSet.of(Ramp.Remark.NO_EVEN_JUMPS);
            remarks.addAll(ramp.remarks());
            return ramp.steps().size() < 2 ? ramp : new Ramp(ramp.steps(), ramp.top(), remarks);
        });
    }

    private static Ramp shrinking(AvailableLoads loads, Mass top, Start start) {
        return loads.loader().map(loader -> withPlates(loader, top, start)).orElseGet(() -> withPieces(loads, top));
    }

    /** Up a row of fixed pieces: the ones nearest to the usual shares, each heavier than the one before. */
    private static Ramp withPieces(AvailableLoads row, Mass top) {
        List<RampStep> steps = new ArrayList<>();
        for (Percent share : RampRules.SHARES_OF_PIECES) {
            Mass load = row.round(top.times(share), Rounding.NEAREST);
            boolean heavier = steps.isEmpty()
                    || load.isGreaterThan(steps.get(steps.size() - 1).load());
            if (heavier && load.isLessThan(top)) {
                LoadedBar piece = row.fit(load, Rounding.NEAREST).loading();
                steps.add(new RampStep(piece, RampRules.reps(load.percentOf(top), false)));
            }
        }
        LoadedBar topPiece = row.fit(top, Rounding.NEAREST).loading();
        return new Ramp(steps, topPiece, steps.isEmpty() ? Set.of(Ramp.Remark.TOP_IS_THE_BAR) : Set.of());
    }

    private static Ramp withPlates(BarLoads loader, Mass top, Start start) {
        Optional<Mass> warm = start.warm();
        if (warm.filter(done -> !top.isGreaterThan(done)).isPresent()) {
            LoadedBar loading =
                    loader.fit(top, Rounding.NEAREST, start.onTheBar()).loading();
            return new Ramp(List.of(), loading, Set.of());
        }
        if (top.equals(loader.kit().base())) {
            return new Ramp(List.of(), loader.kit().with(PlateStack.EMPTY), Set.of(Ramp.Remark.TOP_IS_THE_BAR));
        }
        Start from = start;
        boolean onBlocks = start.fromTheFloor()
                && loader.stacks(top, RampRules.BEYOND_THE_FEWEST).stream().noneMatch(PlateStack::isFullHeight);
        if (onBlocks) {
            from = start.fromTheFloor(false);
        }
        Ramp ramp = new RampSearch(loader, top, from).run();
        if (!onBlocks) {
            return ramp;
        }
        Set<Ramp.Remark> remarks = EnumSet.of(Ramp.Remark.ON_BLOCKS);
        remarks.addAll(ramp.remarks());
        return new Ramp(ramp.steps(), ramp.top(), remarks);
    }
}
