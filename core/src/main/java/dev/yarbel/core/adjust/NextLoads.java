package dev.yarbel.core.adjust;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.SetDoses;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/**
 * The proposal to write other loads into the doses of a lift in its next week of training, and nowhere else.
 *
 * @param share of what was asked for; 100 % where a step is left out
 */
public record NextLoads(Lift lift, Percent share, List<SetDoses.Change> doses) implements PlanChange {

    private static final BigDecimal HALF_POINTS = BigDecimal.valueOf(2);

    public NextLoads {
        doses = List.copyOf(doses);
    }

    /**
     * So many percent of what the next doses ask for: of loads that are written, and of percentages of a max, in half points. What
     * hangs on a rating, on the day's top or on the last time finds its own load and stays. Empty where nothing is left to change.
     */
    public static Optional<NextLoads> scaled(PlanAhead plan, Lift lift, Percent share) {
        return of(plan, lift, share, part -> scaled(plan, lift, part, share));
    }

    /** The last time's load again, without the step that is planned; empty where no step is. */
    static Optional<NextLoads> sameAgain(PlanAhead plan, Lift lift) {
        return of(plan, lift, Percent.HUNDRED, part -> part.basis()
                .stepOnLast()
                .filter(Mass::isPositive)
                .map(step -> part.with(new LoadBasis.LastTime(Mass.ZERO, MassUnit.KG)))
                .orElse(part));
    }

    /** A load of the coach's own for the next session, in the place of what its law makes of the last; empty where that is gone. */
    public static Optional<NextLoads> written(PlanAhead plan, FollowLaw law, Mass load, MassUnit unit) {
        int week = law.day().week();
        return plan.block().days().get(law.day().day()).slots().stream()
                .filter(slot -> slot.letter().equals(law.next().letter()))
                .findFirst()
                .flatMap(slot -> slot.dose(week).map(dose -> {
                    Dose other = asKept(new Dose(dose.parts().stream()
                            .map(part ->
                                    part.basis().goesOnFromLast() ? part.with(new LoadBasis.Fixed(load, unit)) : part)
                            .toList()));
                    Percent share = law.load().map(load::percentOf).orElse(Percent.HUNDRED);
                    return new NextLoads(
                            law.lift(),
                            share,
                            List.of(new SetDoses.Change(slot.id(), week, Optional.of(dose), Optional.of(other))));
                }));
    }

    private static Optional<NextLoads> of(PlanAhead plan, Lift lift, Percent share, UnaryOperator<Part> change) {
        List<SetDoses.Change> changes = new ArrayList<>();
        for (PlanAhead.DayAhead day : plan.nextWeekOf(lift)) {
            for (Slot slot : plan.block().days().get(day.day()).slots()) {
                slot.dose(day.week()).filter(dose -> slot.lift().equals(lift)).ifPresent(dose -> {
                    Dose other =
                            asKept(new Dose(dose.parts().stream().map(change).toList()));
                    if (!other.equals(dose)) {
                        changes.add(new SetDoses.Change(slot.id(), day.week(), Optional.of(dose), Optional.of(other)));
                    }
                });
            }
        }
        return changes.isEmpty() ? Optional.empty() : Optional.of(new NextLoads(lift, share, changes));
    }

    /** A load is kept as it is written, to the digits of its unit. */
    static Dose asKept(Dose dose) {
        return Dose.parse(dose.shorthand());
    }

    private static Part scaled(PlanAhead plan, Lift lift, Part part, Percent share) {
        Optional<Mass> written = part.basis().written();
        if (written.isPresent()) {
            Mass asked = written.get().times(share);
            Mass load = plan.resolver()
                    .kit(lift)
                    .map(loads -> loads.round(asked, plan.resolver().rounding()))
                    .orElse(asked);
            return load.isPositive()
                    ? part.with(
                            new LoadBasis.Fixed(load, part.basis().unitWritten().orElseThrow()))
                    : part;
        }
        return part.basis()
                .share()
                .filter(of -> of.of().isMax())
                .map(of -> part.with(new LoadBasis.Share(
                        of.of(),
                        halfPoints(of.percent().times(share)),
                        halfPoints(of.most().times(share)))))
                .orElse(part);
    }

    private static Percent halfPoints(Percent percent) {
        return Percent.of(percent.figure()
                .multiply(HALF_POINTS)
                .setScale(0, RoundingMode.HALF_UP)
                .divide(HALF_POINTS));
    }

    @Override
    public BlockEdit edit(PlanAhead plan, Block block, Supplier<SlotId> newSlot) {
        return new SetDoses(doses);
    }

    @Override
    public <T> T accept(Visitor<T> visitor) {
        return visitor.nextLoads(this);
    }

    @Override
    public boolean raises() {
        return share.isGreaterThan(Percent.HUNDRED);
    }

    @Override
    public Percent size() {
        return share.minus(Percent.HUNDRED).abs();
    }
}
