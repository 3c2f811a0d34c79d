package dev.yarbel.core.block;

import dev.yarbel.core.lift.Lift;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** An edit of the slots of a training day. */
public sealed interface SlotEdit extends BlockEdit {

    /** What a slot is called, the lift it is for, and why it is there. */
    record Title(String letter, Lift lift, Optional<String> reason) {

        static Title of(Slot slot) {
            return new Title(slot.letter(), slot.lift(), slot.reason());
        }
    }

    /** Gives a slot another letter, lift or reason; one that something was logged under, another reason only. */
    record Set(SlotId slot, Title from, Title to) implements SlotEdit {

        /** @throws EditRefused when the slot is not there */
        public static Set of(Block block, SlotId slot, Title to) {
            return new Set(slot, Title.of(there(block, slot)), to);
        }

        @Override
        public Edited apply(Block block, Lifted lifted) {
            Slot found = there(block, slot);
            EditRefused.unless(Title.of(found).equals(from), EditRefused.Why.OVERTAKEN);
            TrainingDay day = block.dayOf(slot).orElseThrow();
            boolean same = to.letter().equals(from.letter()) && to.lift().equals(from.lift());
            EditRefused.unless(same || !lifted.hasHistory(day.id()), EditRefused.Why.SLOT_LIFTED);
            Slot after = new Slot(slot, to.letter(), to.lift(), found.doses(), found.school(), to.reason());
            return new Edited(exchanged(block, day, after), new Set(slot, to, from));
        }

        private static Block exchanged(Block block, TrainingDay day, Slot slot) {
            List<Slot> slots = new ArrayList<>(day.slots());
            slots.set(day.indexOf(slot.id()), slot);
            return in(block, day, slots);
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            return of(twins.theirs(), twins.of(slot), to);
        }
    }

    /**
     * Puts a slot into a day.
     *
     * @param at the place it gets, from 0
     */
    record Add(DayId day, int at, Slot slot) implements SlotEdit {

        @Override
        public Edited apply(Block block, Lifted lifted) {
            TrainingDay found = block.day(day).orElseThrow(() -> new EditRefused(EditRefused.Why.GONE));
            EditRefused.unless(block.slot(slot.id()).isEmpty(), EditRefused.Why.OVERTAKEN);
            EditRefused.unless(slot.doses().size() == block.weeks(), EditRefused.Why.OVERTAKEN);
            List<Slot> slots = new ArrayList<>(found.slots());
            slots.add(Math.min(at, slots.size()), slot);
            return new Edited(in(block, found, slots), new Remove(slot));
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            Block theirs = twins.theirs();
            TrainingDay twin = theirs.day(twins.of(day)).orElseThrow();
            Slot empty = slot.with(
                    IntStream.range(0, theirs.weeks()).mapToObj(slot::dose).toList());
            return new Add(twin.id(), twin.slots().size(), twins.added(empty));
        }
    }

    /** Takes a slot away, as it is found; of one with a history, what is still to come. */
    record Remove(Slot slot) implements SlotEdit {

        @Override
        public Edited apply(Block block, Lifted lifted) {
            EditRefused.unless(there(block, slot.id()).equals(slot), EditRefused.Why.OVERTAKEN);
            TrainingDay day = block.dayOf(slot.id()).orElseThrow();
            if (lifted.hasHistory(day.id()) && wasAskedFor(lifted)) {
                return cleared(block, lifted, List.of(slot));
            }
            List<Slot> slots = new ArrayList<>(day.slots());
            int at = day.indexOf(slot.id());
            slots.remove(at);
            return new Edited(in(block, day, slots), new Add(day.id(), at, slot));
        }

        /** Whether it asked for anything in a week that something was logged in. */
        private boolean wasAskedFor(Lifted lifted) {
            return slot.doses().stream().limit(lifted.firstOpenWeek()).anyMatch(Optional::isPresent);
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            return new Remove(there(twins.theirs(), twins.of(slot.id())));
        }
    }

    /**
     * Has a slot trade places with another of its day.
     *
     * @param by how many places later, earlier where it is negative
     * @param lettersStay whether each keeps its letter; else they trade those too
     */
    record Move(SlotId slot, int by, boolean lettersStay) implements SlotEdit {

        /** Letters are traded as long as nobody has logged under them. */
        public static Move of(Block block, SlotId slot, int by, Lifted lifted) {
            boolean history =
                    block.dayOf(slot).filter(day -> lifted.hasHistory(day.id())).isPresent();
            return new Move(slot, by, history);
        }

        @Override
        public Edited apply(Block block, Lifted lifted) {
            there(block, slot);
            TrainingDay day = block.dayOf(slot).orElseThrow();
            EditRefused.unless(lettersStay || !lifted.hasHistory(day.id()), EditRefused.Why.SLOT_LIFTED);
            int at = day.indexOf(slot);
            int to = at + by;
            EditRefused.unless(to >= 0 && to < day.slots().size(), EditRefused.Why.NO_FURTHER);
            List<Slot> slots = new ArrayList<>(day.slots());
            Slot one = slots.get(at);
            Slot other = slots.get(to);
            slots.set(to, lettersStay ? one : one.lettered(other.letter()));
            slots.set(at, lettersStay ? other : other.lettered(one.letter()));
            return new Edited(in(block, day, slots), new Move(slot, -by, lettersStay));
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            return of(twins.theirs(), twins.of(slot), by, lifted);
        }
    }

    private static Slot there(Block block, SlotId id) {
        return block.slot(id).orElseThrow(() -> new EditRefused(EditRefused.Why.GONE));
    }

    private static Block in(Block block, TrainingDay day, List<Slot> slots) {
        java.util.Set<String> letters = new HashSet<>();
        EditRefused.unless(slots.stream().allMatch(slot -> letters.add(slot.letter())), EditRefused.Why.LETTER_TAKEN);
        return DayEdit.exchanged(block, day.with(slots));
    }

    /** Leaves the weeks that are still to come out of some slots. */
    static Edited cleared(Block block, Lifted lifted, List<Slot> slots) {
        List<SetDoses.Change> changes = new ArrayList<>();
        for (Slot slot : slots) {
            TrainingDay day = block.dayOf(slot.id()).orElseThrow();
            for (int week = 0; week < block.weeks(); week++) {
                if (slot.dose(week).isPresent() && !lifted.isFinished(day.id(), week)) {
                    changes.add(new SetDoses.Change(slot.id(), week, slot.dose(week), Optional.empty()));
                }
            }
        }
        return new SetDoses(changes).apply(block, lifted);
    }
}
