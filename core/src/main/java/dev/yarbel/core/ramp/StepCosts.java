package dev.yarbel.core.ramp;

import dev.yarbel.core.equipment.BarKit;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateSet;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.Comparator;
import java.util.List;

/** What each step of a ramp to one top costs by {@link RampRules}, in tens of nanograms for the sake of speed. */
final class StepCosts {

    private static final int WHOLE = 100;

    private final long top;
    private final boolean cold;
    private final boolean pulled;
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
    private final long lightestPull;
    private final List<Long> bigPlates;
    private final long lightestBigPlate;

    StepCosts(BarKit kit, Mass topLoad, Start start) {
        this.top = topLoad.tensOfNanograms();
        this.cold = start.warm().isEmpty();
        this.pulled = start.fromTheFloor();
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
        long base = kit.base().tensOfNanograms();
        this.lightestPull = plates.stream()
                .filter(Plate::isFullSize)
                .map(plate -> base + 2 * plate.mass().tensOfNanograms())
                .min(Comparator.naturalOrder())
                .orElse(base);
    }

    private long share(Percent percent) {
        return (top * percent.figure().longValue() + WHOLE / 2) / WHOLE;
    }

    /** Whether the loads of a ramp, lightest first, neither take a growing step nor end where they should not. */
    boolean isSmooth(long[] loads) {
        long before = warm;
        long earlier = Long.MAX_VALUE;
        for (int i = 0; i < loads.length; i++) {
            if (before >= 0) {
                if (loads[i] - before > earlier || i == loads.length - 1 && lastStep(before) > 0) {
                    return false;
                }
                earlier = loads[i] - before;
            }
            before = loads[i];
        }
        return true;
    }

    /** Whether a step from a load breaks the rule that steps shrink from there on. */
    boolean growsNearTheTop(long from, long step, long earlier) {
        return from >= shrinkFrom && !isSmaller(step, earlier);
    }

    /** The first stop: the bare bar or the lightest pull; or a step from what the lift was done with before. */
    long begin(Track track, long[] load, int stop) {
        boolean isTop = stop == load.length - 1;
        if (cold) {
            long jump = pulled ? RampRules.jump((load[stop] - lightestPull) * 1000 / top) : 0;
            boolean lighterFirst = isTop && pulled && top > lightestPull;
            return jump + RampRules.SET + (lighterFirst ? RampRules.BROKEN_RULE : 0);
        }
        long cost = RampRules.jump((load[stop] - warm) * 1000 / top);
        return cost + (isTop ? lastStep(warm) : set(track.stops().get(stop)));
    }

    long step(Track track, long[] load, int i, int j, int k) {
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
        return cost + set(track.stops().get(k));
    }

    boolean isSmaller(long step, long earlier) {
        return step < earlier || step == earlier && step <= shortStep;
    }

    private long set(Track.Stop stop) {
        boolean small = stop.plates() > 0
                && stop.stack().plates().get(stop.plates() - 1).mass().tensOfNanograms() < smallPlate;
        return RampRules.SET + (small ? RampRules.SMALL_PLATE : 0);
    }

    /** What it costs that this load is the last before the top. */
    long lastStep(long load) {
        if (load <= lastMost && load >= lastLeast || load < lastLeast && top - load <= shortStep) {
            return 0;
        }
        return load <= lastWideMost && load >= lastWideLeast ? RampRules.LAST_WIDE : RampRules.BROKEN_RULE;
    }
}
