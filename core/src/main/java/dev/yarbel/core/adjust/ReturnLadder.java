package dev.yarbel.core.adjust;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.SetDoses;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.HealedAche;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.shape.Deload;
import dev.yarbel.core.shape.ShareOfTheLoad;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * The proposal to bring a lift back after an ache: on its next days a growing share of what is planned, first with half the sets, and
 * never to the limit. A step comes only after quiet days: days of the lift nearer than two days repeat the step. After the last step
 * the plan stands as it stood. All figures are starting values of ours.
 */
public record ReturnLadder(Lift lift, Length length, List<SetDoses.Change> doses) implements PlanChange {

    private static final int QUIET_DAYS = 2;
    /** Up to this share of the load there are half the sets as well. */
    private static final Percent FEW = Percent.of(60);

    private static final Rpe HARDEST = Rpe.of(6);

    /** How many steps it has. */
    public enum Length {
        SHORT(50, 70, 85),
        /** After an ache of four weeks and more, or one that weighed six of ten and more. */
        LONG(40, 50, 60, 70, 80, 90);

        private static final int LONG_WEEKS = 4;
        private static final int HEAVY = 6;

        private final List<Percent> steps;

        Length(int... shares) {
            List<Percent> all = new ArrayList<>();
            for (int share : shares) {
                all.add(Percent.of(share));
            }
            this.steps = List.copyOf(all);
        }

        /** The share of what is planned at each step. */
        public List<Percent> steps() {
            return steps;
        }

        static Length after(HealedAche healed) {
            boolean longLasting = ChronoUnit.WEEKS.between(healed.ache().since(), healed.on()) >= LONG_WEEKS;
            boolean heavy =
                    healed.ache().weight().filter(weight -> weight >= HEAVY).isPresent();
            return longLasting || heavy ? LONG : SHORT;
        }
    }

    public ReturnLadder {
        doses = List.copyOf(doses);
    }

    /** A ladder on the days to come; empty where none of them asks for the lift. */
    public static Optional<ReturnLadder> of(PlanAhead plan, Lift lift, Length length) {
        List<SetDoses.Change> changes = new ArrayList<>();
        int step = -1;
        Optional<LocalDate> stepped = Optional.empty();
        for (PlanAhead.DayAhead at : plan.daysAhead()) {
            List<Slot> slots = plan.block().days().get(at.day()).slots().stream()
                    .filter(slot ->
                            slot.lift().equals(lift) && slot.dose(at.week()).isPresent())
                    .toList();
            if (slots.isEmpty()) {
                continue;
            }
            if (stepped.filter(last -> ChronoUnit.DAYS.between(last, at.date()) < QUIET_DAYS)
                    .isEmpty()) {
                step++;
                stepped = Optional.of(at.date());
            }
            if (step >= length.steps().size()) {
                break;
            }
            for (Slot slot : slots) {
                change(plan, slot, at, length.steps().get(step)).ifPresent(changes::add);
            }
        }
        return changes.isEmpty() ? Optional.empty() : Optional.of(new ReturnLadder(lift, length, changes));
    }

    private static Optional<SetDoses.Change> change(PlanAhead plan, Slot slot, PlanAhead.DayAhead at, Percent share) {
        Dose dose = slot.dose(at.week()).orElseThrow();
        List<Optional<Mass>> loads = loads(plan, slot, at);
        LiftNumbers numbers = plan.resolver().numbers(slot.lift());
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < dose.parts().size(); i++) {
            Part part = dose.parts().get(i);
            Optional<Mass> load = i < loads.size() ? loads.get(i) : Optional.empty();
            boolean fewer = !share.isGreaterThan(FEW)
                    || part.work().isToLimit()
                    || part.work().isOpen();
            Part eased = fewer ? Deload.fewerSets(part) : part;
            parts.add(eased.with(basis(part, numbers, load, share)));
        }
        Dose other = NextLoads.asKept(new Dose(parts));
        return other.equals(dose)
                ? Optional.empty()
                : Optional.of(new SetDoses.Change(slot.id(), at.week(), Optional.of(dose), Optional.of(other)));
    }

    private static List<Optional<Mass>> loads(PlanAhead plan, Slot slot, PlanAhead.DayAhead at) {
        List<PrescribedSets> asked = plan.projection().prescriptions(at.day(), at.week());
        List<ResolvedLoad> loads = plan.projection().loads(at.day(), at.week());
        List<Optional<Mass>> found = new ArrayList<>();
        for (int i = 0; i < asked.size(); i++) {
            if (asked.get(i).letter().equals(slot.letter())) {
                found.add(loads.get(i).load());
            }
        }
        return found;
    }

    /** What goes on from the last time would go on from the step before, so it gets a load of its own. */
    private static LoadBasis basis(Part part, LiftNumbers numbers, Optional<Mass> load, Percent share) {
        LoadBasis basis = part.basis();
        if (basis.hangsOnTop()) {
            return basis;
        }
        if (basis.goesOnFromLast() || basis.isShareOfLast()) {
            MassUnit unit = basis.unitWritten().orElse(MassUnit.KG);
            return load.<LoadBasis>map(planned -> new LoadBasis.Fixed(planned.times(share), unit))
                    .orElseGet(() -> new LoadBasis.AtRpe(HARDEST));
        }
        return basis.accept(new ShareOfTheLoad(part, numbers, share))
                .orElseGet(() -> basis.rating().isPresent() ? new LoadBasis.AtRpe(HARDEST) : basis);
    }

    @Override
    public BlockEdit edit(PlanAhead plan, Block block, Supplier<SlotId> newSlot) {
        return new SetDoses(doses);
    }

    @Override
    public <T> T accept(Visitor<T> visitor) {
        return visitor.returnLadder(this);
    }

    @Override
    public Percent size() {
        return Percent.HUNDRED.minus(length.steps().get(0));
    }
}
