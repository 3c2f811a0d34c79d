package dev.yarbel.core.session;

import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.equipment.Loads;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.LoadBasis;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Works out what doses come to for one lifter with the kit at hand. */
public final class Resolver {

    private final KitInUse kit;
    private final Rounding rounding;
    private final Numbers numbers;

    /**
     * @param kit what the lifter has at hand
     * @param rounding the coach's rule for loads that cannot be made exactly
     * @param numbers what loads of each lift can hang on today
     */
    public Resolver(KitInUse kit, Rounding rounding, Numbers numbers) {
        this.kit = kit;
        this.rounding = rounding;
        this.numbers = numbers;
    }

    /** What a lift is done with here; empty when nothing is made for it. */
    public Optional<Loads> kit(Lift lift) {
        return kit.forLift(lift);
    }

    public Rounding rounding() {
        return rounding;
    }

    /** What is known of a lift. */
    public LiftNumbers numbers(Lift lift) {
        return numbers.of(lift);
    }

    /** The same lifter and kit with other numbers for one lift. */
    public Resolver with(Lift lift, UnaryOperator<LiftNumbers> change) {
        return new Resolver(kit, rounding, numbers.with(lift, change));
    }

    /** What a day's doses come to before anything was lifted, one for each. */
    public List<ResolvedLoad> resolve(List<Prescription> day) {
        return resolve(day, List.of());
    }

    /**
     * What a day's doses come to with what was lifted so far, one for each.
     *
     * <p>A percentage below the top hangs on the nearest top set of the same lift above it. Once that was lifted, it hangs
     * on what was really lifted, whatever had been planned; where the top was missed, on the last set of the lift that was
     * made, a warm-up included.
     *
     * @param done today's sets in the order they were lifted
     */
    public List<ResolvedLoad> resolve(List<Prescription> day, List<DoneSet> done) {
        List<ResolvedLoad> loads = new ArrayList<>(day.size());
        for (int i = 0; i < day.size(); i++) {
            Prescription prescription = day.get(i);
            LoadBasis basis = prescription.dose().basis();
            loads.add(
                    basis instanceof LoadBasis.BelowTop below
                            ? belowTop(day, i, below.drop(), loads, done)
                            : standing(prescription));
        }
        return loads;
    }

    private ResolvedLoad standing(Prescription prescription) {
        LoadBasis basis = prescription.dose().basis();
        LiftNumbers known = numbers(prescription.lift());
        if (basis instanceof LoadBasis.AtRpe at) {
            return known.estimate()
                    .<ResolvedLoad>map(estimate -> {
                        Percent share = known.curve()
                                .share(RepsInAll.of(prescription.dose().reps(), at.rpe()));
                        return fit(
                                prescription.lift(),
                                estimate.times(share),
                                new ResolvedLoad.Origin.FromEstimate(estimate, share));
                    })
                    .orElse(new ResolvedLoad.Unknown(ResolvedLoad.Why.NO_ESTIMATE));
        }
        if (basis instanceof LoadBasis.OfWorkingMax of) {
            return known.workingMax()
                    .<ResolvedLoad>map(max -> fit(
                            prescription.lift(),
                            max.times(of.percent()),
                            new ResolvedLoad.Origin.FromWorkingMax(max, of.percent())))
                    .orElse(new ResolvedLoad.Unknown(ResolvedLoad.Why.NO_WORKING_MAX));
        }
        return fit(prescription.lift(), ((LoadBasis.Fixed) basis).load(), new ResolvedLoad.Origin.AsWritten());
    }

    private ResolvedLoad belowTop(
            List<Prescription> day, int index, Percent drop, List<ResolvedLoad> above, List<DoneSet> done) {
        Optional<Integer> topIndex = topAbove(day, index);
        if (topIndex.isEmpty()) {
            return new ResolvedLoad.Unknown(ResolvedLoad.Why.NO_TOP_ABOVE);
        }
        Prescription top = day.get(topIndex.get());
        List<DoneSet> tops = done.stream()
                .filter(d -> d.task().letter().equals(top.letter()) && !d.task().warmUp())
                .toList();
        if (!tops.isEmpty()) {
            return belowLifted(top, drop, tops, done);
        }
        ResolvedLoad planned = above.get(topIndex.get());
        return planned.load()
                .<ResolvedLoad>map(load -> below(
                        top.lift(),
                        load,
                        drop,
                        new ResolvedLoad.Origin.BelowPlannedTop(top.letter(), load, drop, planned.isAbout())))
                .orElse(new ResolvedLoad.Unknown(ResolvedLoad.Why.TOP_UNKNOWN));
    }

    private static Optional<Integer> topAbove(List<Prescription> day, int index) {
        for (int i = index - 1; i >= 0; i--) {
            if (day.get(i).lift().equals(day.get(index).lift())
                    && day.get(i).dose().isTop()) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    private ResolvedLoad belowLifted(Prescription top, Percent drop, List<DoneSet> tops, List<DoneSet> done) {
        Optional<Mass> made = lastMade(top.lift(), tops);
        boolean missed = made.isEmpty();
        return made.or(() -> lastMade(top.lift(), done))
                .<ResolvedLoad>map(load -> below(
                        top.lift(),
                        load,
                        drop,
                        new ResolvedLoad.Origin.BelowLiftedTop(top.letter(), load, drop, missed)))
                .orElse(new ResolvedLoad.Unknown(ResolvedLoad.Why.NOTHING_MADE));
    }

    private static Optional<Mass> lastMade(Lift lift, List<DoneSet> sets) {
        return sets.stream()
                .map(DoneSet::set)
                .filter(set -> set.made() && set.lift().equals(lift))
                .reduce((first, second) -> second)
                .map(set -> set.load());
    }

    private ResolvedLoad below(Lift lift, Mass top, Percent drop, ResolvedLoad.Origin origin) {
        return fit(lift, top.times(Percent.HUNDRED.minus(drop)), origin);
    }

    private ResolvedLoad fit(Lift lift, Mass asked, ResolvedLoad.Origin origin) {
        return kit.forLift(lift)
                .<ResolvedLoad>map(loads -> new ResolvedLoad.Known(loads.fit(asked, rounding), origin))
                .orElse(new ResolvedLoad.Unknown(ResolvedLoad.Why.NO_KIT));
    }
}
