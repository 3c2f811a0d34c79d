package dev.yarbel.core.adjust;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.SetDoses;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.block.WeekEdit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.shape.Deload;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * The proposal to take a week easy: the next one that nothing was lifted in. Where the block leads to no contest the week is put in, and
 * everything planned comes a week later; else the week that is planned becomes an easy one, since the day does not move.
 *
 * @param week the week that is easy, from 0
 * @param inserted whether it is put in
 * @param signs how many sources of fatigue speak for it
 */
public record DeloadWeek(int week, Deload style, boolean inserted, int signs) implements PlanChange {

    /** An easy week of a style for the week to come; empty where the block has none left, or one that is easy already. */
    public static Optional<DeloadWeek> of(PlanAhead plan, Deload style, int signs) {
        Block block = plan.block();
        int next = Math.max(
                plan.lifted().firstOpenWeek(),
                plan.daysAhead().stream()
                        .mapToInt(PlanAhead.DayAhead::week)
                        .min()
                        .orElse(block.weeks()));
        return next >= block.weeks() || block.shape().get(next).deload() || block.isGap(next)
                ? Optional.empty()
                : Optional.of(new DeloadWeek(next, style, block.contest().isEmpty(), signs))
                        .filter(deload -> !deload.doses(plan).isEmpty() || style == Deload.OFF);
    }

    private Map<SlotId, Dose> doses(PlanAhead plan) {
        Map<SlotId, Dose> easy = new HashMap<>();
        plan.block().slots().forEach(slot -> easy(slot, plan).ifPresent(dose -> easy.put(slot.id(), dose)));
        return easy;
    }

    private Optional<Dose> easy(Slot slot, PlanAhead plan) {
        return slot.dose(week).flatMap(dose -> style.of(dose, plan.resolver().numbers(slot.lift())));
    }

    @Override
    public BlockEdit edit(PlanAhead plan, Block block, Supplier<SlotId> newSlot) {
        BlockWeek shape = block.shape().get(week);
        if (inserted) {
            return new WeekEdit.Insert(week, shape.asDeload(), doses(plan));
        }
        List<SetDoses.Change> changes = new ArrayList<>();
        block.slots().filter(slot -> slot.dose(week).isPresent()).forEach(slot -> {
            Optional<Dose> easy = easy(slot, plan);
            if (!easy.equals(slot.dose(week))) {
                changes.add(new SetDoses.Change(slot.id(), week, slot.dose(week), easy));
            }
        });
        return new BlockEdit.Several(List.of(new SetDoses(changes), new WeekEdit.Set(week, shape, shape.asDeload())));
    }

    /** What changes in that week; all that comes later is the same, a week later where it was put in. */
    @Override
    public List<LoadChange> changes(PlanAhead plan) {
        return PlanChange.super.changes(plan).stream()
                .filter(change -> change.week() == week)
                .toList();
    }

    @Override
    public <T> T accept(Visitor<T> visitor) {
        return visitor.deloadWeek(this);
    }

    /** As many percent as there are signs: of two the one with more of them is looked at first. */
    @Override
    public Percent size() {
        return Percent.of(signs);
    }
}
