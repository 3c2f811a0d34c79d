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
import java.util.stream.IntStream;

/**
 * The proposal to take a week easy: the next one that nothing was lifted in. A deload that is planned for one of the three weeks after it
 * comes now instead. Else, where the block leads to no contest, the week is put in, and everything planned comes a week later; and where it does,
 * the week that is planned becomes an easy one, since the day does not move.
 *
 * @param week the week that is easy, from 0
 * @param inserted whether it is put in
 * @param movedFrom the later week, from 0, whose planned deload comes now
 * @param signs how many sources of fatigue speak for it
 */
public record DeloadWeek(int week, Deload style, boolean inserted, Optional<Integer> movedFrom, int signs)
        implements PlanChange {

    private static final int WEEKS_AHEAD = 3;

    /**
     * The deload that is planned soon, brought forward; else an easy week of a style for the week to come. Empty where the block has no week
     * left, or the next one is easy already.
     */
    static Optional<DeloadWeek> soonest(PlanAhead plan, Deload style, int signs) {
        Block block = plan.block();
        int next = next(plan);
        return of(plan, style, signs)
                .map(deload -> IntStream.rangeClosed(next + 1, Math.min(next + WEEKS_AHEAD, block.weeks() - 1))
                        .filter(week -> block.shape().get(week).deload() && !block.isGap(week))
                        .mapToObj(planned -> new DeloadWeek(next, style, false, Optional.of(planned), signs))
                        .findFirst()
                        .orElse(deload));
    }

    /** An easy week of a style for the week to come; empty where the block has none left, or one that is easy already. */
    public static Optional<DeloadWeek> of(PlanAhead plan, Deload style, int signs) {
        Block block = plan.block();
        int next = next(plan);
        return next >= block.weeks() || block.shape().get(next).deload() || block.isGap(next)
                ? Optional.empty()
                : Optional.of(new DeloadWeek(next, style, block.contest().isEmpty(), Optional.empty(), signs))
                        .filter(deload -> !deload.doses(plan).isEmpty() || style == Deload.OFF);
    }

    /** The first week that nothing was lifted in and that is still ahead. */
    private static int next(PlanAhead plan) {
        return Math.max(
                plan.lifted().firstOpenWeek(),
                plan.daysAhead().stream()
                        .mapToInt(PlanAhead.DayAhead::week)
                        .min()
                        .orElse(plan.block().weeks()));
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
        if (movedFrom.isPresent()) {
            return new WeekEdit.Move(movedFrom.get(), week);
        }
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

    /** What changes in that week; all that comes later is the same, a week later where it was put in or comes sooner. */
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
