package dev.yarbel.core.block;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * The days and slots of one block that stand for those of another: days of the same name, those at the same place first, and
 * on them slots of the same letter and lift.
 */
public final class Twins {

    private final Block theirs;
    private final Map<DayId, DayId> days = new HashMap<>();
    private final Map<SlotId, SlotId> slots = new HashMap<>();
    private final Supplier<DayId> newDay;
    private final Supplier<SlotId> newSlot;

    /**
     * @param newDay numbers days that an edit adds
     * @param newSlot numbers slots that an edit adds
     */
    public Twins(Block ours, Block theirs, Supplier<DayId> newDay, Supplier<SlotId> newSlot) {
        this.theirs = theirs;
        this.newDay = newDay;
        this.newSlot = newSlot;
        for (int d = 0; d < ours.days().size(); d++) {
            TrainingDay day = ours.days().get(d);
            sameDay(day, d).ifPresent(twin -> {
                days.put(day.id(), twin.id());
                day.slots().forEach(slot -> sameSlot(slot, twin).ifPresent(other -> slots.put(slot.id(), other.id())));
            });
        }
    }

    private Optional<TrainingDay> sameDay(TrainingDay day, int at) {
        if (at < theirs.days().size() && theirs.days().get(at).name().equals(day.name())) {
            return Optional.of(theirs.days().get(at));
        }
        return theirs.days().stream()
                .filter(other -> other.name().equals(day.name()))
                .findFirst();
    }

    private static Optional<Slot> sameSlot(Slot slot, TrainingDay twin) {
        return twin.slots().stream()
                .filter(other ->
                        other.letter().equals(slot.letter()) && other.lift().equals(slot.lift()))
                .findFirst();
    }

    /** The block that is edited in place of the other. */
    Block theirs() {
        return theirs;
    }

    /** @throws EditRefused when no day stands for it */
    DayId of(DayId day) {
        return Optional.ofNullable(days.get(day)).orElseThrow(() -> new EditRefused(EditRefused.Why.GONE));
    }

    /** @throws EditRefused when no slot stands for it */
    SlotId of(SlotId slot) {
        return find(slot).orElseThrow(() -> new EditRefused(EditRefused.Why.GONE));
    }

    Optional<SlotId> find(SlotId slot) {
        return Optional.ofNullable(slots.get(slot));
    }

    /** A slot like this one, under a number of its own. */
    Slot added(Slot slot) {
        SlotId number = newSlot.get();
        slots.put(slot.id(), number);
        return slot.as(number);
    }

    /** A day like this one, it and its slots under numbers of their own. */
    TrainingDay added(TrainingDay day) {
        DayId number = newDay.get();
        days.put(day.id(), number);
        return day.with(day.slots().stream().map(this::added).toList()).as(number);
    }
}
