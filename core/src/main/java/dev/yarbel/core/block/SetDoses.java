package dev.yarbel.core.block;

import dev.yarbel.core.prescription.Dose;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Sets doses of slots in weeks.
 *
 * @param changes by week, then by slot; each slot and week at most once
 */
public record SetDoses(List<Change> changes) implements BlockEdit {

    /**
     * The dose of a slot in a week.
     *
     * @param week from 0
     * @param from what stands there before; empty where the week leaves the slot out
     * @param to what stands there after
     */
    public record Change(SlotId slot, int week, Optional<Dose> from, Optional<Dose> to) {

        private Change back() {
            return new Change(slot, week, to, from);
        }
    }

    public SetDoses {
        changes = changes.stream()
                .sorted(Comparator.comparingInt(Change::week).thenComparing(Change::slot))
                .toList();
    }

    /** What makes the doses of one block those of another; slots that one of them lacks, and weeks, are passed over. */
    static SetDoses between(Block from, Block to) {
        List<Change> changes = new ArrayList<>();
        Map<SlotId, Slot> after = to.slots().collect(Collectors.toMap(Slot::id, slot -> slot));
        from.slots().filter(slot -> after.containsKey(slot.id())).forEach(slot -> {
            Slot other = after.get(slot.id());
            for (int week = 0; week < Math.min(from.weeks(), to.weeks()); week++) {
                if (!slot.dose(week).equals(other.dose(week))) {
                    changes.add(new Change(slot.id(), week, slot.dose(week), other.dose(week)));
                }
            }
        });
        return new SetDoses(changes);
    }

    @Override
    public Edited apply(Block block, Lifted lifted) {
        changes.forEach(change -> check(block, lifted, change));
        Map<SlotId, List<Change>> bySlot = new HashMap<>();
        changes.forEach(change ->
                bySlot.computeIfAbsent(change.slot(), id -> new ArrayList<>()).add(change));
        Block after = block.withSlots(slot -> {
            if (!bySlot.containsKey(slot.id())) {
                return slot;
            }
            List<Optional<Dose>> doses = new ArrayList<>(slot.doses());
            bySlot.get(slot.id()).forEach(change -> doses.set(change.week(), change.to()));
            return slot.with(doses);
        });
        return new Edited(after, new SetDoses(changes.stream().map(Change::back).toList()));
    }

    private static void check(Block block, Lifted lifted, Change change) {
        EditRefused.unless(
                block.slot(change.slot()).isPresent() && change.week() < block.weeks(), EditRefused.Why.GONE);
        EditRefused.unless(!isLifted(block, lifted, change), EditRefused.Why.LIFTED, change.week() + 1);
        EditRefused.unless(isFound(block, change), EditRefused.Why.OVERTAKEN);
    }

    private static boolean isFound(Block block, Change change) {
        return block.slot(change.slot()).filter(slot -> change.week() < block.weeks()).stream()
                .anyMatch(slot -> slot.dose(change.week()).equals(change.from()));
    }

    private static boolean isLifted(Block block, Lifted lifted, Change change) {
        return block.dayOf(change.slot())
                .filter(day -> lifted.isFinished(day.id(), change.week()))
                .isPresent();
    }

    @Override
    public BlockEdit whereAlike(Twins twins, Lifted lifted, Predicate<Change> test) {
        return new SetDoses(changes.stream()
                .flatMap(change -> twins.find(change.slot()).stream()
                        .map(slot -> new Change(slot, change.week(), change.from(), change.to())))
                .filter(change -> isFound(twins.theirs(), change) && !isLifted(twins.theirs(), lifted, change))
                .filter(test)
                .toList());
    }

    /** The same doses in the slots that stand for these, whatever stands there; days that were lifted are passed over. */
    @Override
    public BlockEdit on(Twins twins, Lifted lifted) {
        Block theirs = twins.theirs();
        return new SetDoses(changes.stream()
                .map(change -> {
                    SlotId slot = twins.of(change.slot());
                    Optional<Dose> there = theirs.slot(slot).flatMap(found -> found.dose(change.week()));
                    return new Change(slot, change.week(), there, change.to());
                })
                .filter(change -> change.week() < theirs.weeks() && !isLifted(theirs, lifted, change))
                .toList());
    }

    @Override
    public boolean touches(SlotId slot, int week) {
        return changes.stream().anyMatch(change -> change.slot().equals(slot) && change.week() == week);
    }
}
