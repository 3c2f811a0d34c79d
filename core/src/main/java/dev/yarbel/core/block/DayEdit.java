package dev.yarbel.core.block;

import dev.yarbel.core.prescription.Dose;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** An edit of a block's training days. */
public sealed interface DayEdit extends BlockEdit {

    /**
     * What a day is called and when it is trained.
     *
     * @param offset days after the first day of the week, 0 to 6
     */
    record Title(String name, int offset) {

        static Title of(TrainingDay day) {
            return new Title(day.name(), day.offset());
        }
    }

    /** Gives a day another name or weekday. */
    record Set(DayId day, Title from, Title to) implements DayEdit {

        /** @throws EditRefused when the day is not there */
        public static Set of(Block block, DayId day, Title to) {
            return new Set(day, Title.of(there(block, day)), to);
        }

        @Override
        public Edited apply(Block block, Lifted lifted) {
            TrainingDay found = there(block, day);
            EditRefused.unless(Title.of(found).equals(from), EditRefused.Why.OVERTAKEN);
            TrainingDay after = new TrainingDay(day, to.name(), to.offset(), found.slots());
            return new Edited(exchanged(block, after), new Set(day, to, from));
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            return of(twins.theirs(), twins.of(day), to);
        }
    }

    /**
     * Puts a day in.
     *
     * @param at the place it gets, from 0
     */
    record Add(int at, TrainingDay day) implements DayEdit {

        /** A day after the last one. */
        public static Add last(Block block, TrainingDay day) {
            return new Add(block.days().size(), day);
        }

        @Override
        public Edited apply(Block block, Lifted lifted) {
            EditRefused.unless(block.indexOf(day.id()) < 0, EditRefused.Why.OVERTAKEN);
            List<TrainingDay> days = new ArrayList<>(block.days());
            TrainingDay fitted = day.with(day.slots().stream()
                    .map(slot -> slot.with(fitted(slot.doses(), block.weeks())))
                    .toList());
            days.add(Math.min(at, days.size()), fitted);
            return new Edited(block.with(days), new Remove(fitted));
        }

        /** As many doses as there are weeks. */
        private static List<Optional<Dose>> fitted(List<Optional<Dose>> doses, int weeks) {
            List<Optional<Dose>> fitted = new ArrayList<>(doses.subList(0, Math.min(doses.size(), weeks)));
            while (fitted.size() < weeks) {
                fitted.add(Optional.empty());
            }
            return fitted;
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            return new Add(twins.theirs().days().size(), twins.added(day));
        }
    }

    /**
     * Puts a day in after the last one that has the slots of another, and what they ask for in weeks that are still open.
     *
     * @param copy the number of the day
     * @param slots the numbers of its slots, by those of the other
     */
    record Copy(DayId of, DayId copy, Title title, Map<SlotId, SlotId> slots) implements DayEdit {

        public Copy {
            slots = Map.copyOf(slots);
        }

        @Override
        public Edited apply(Block block, Lifted lifted) {
            List<Slot> copies = new ArrayList<>();
            for (Slot slot : there(block, of).slots()) {
                EditRefused.unless(slots.containsKey(slot.id()), EditRefused.Why.OVERTAKEN);
                List<Optional<Dose>> doses = new ArrayList<>(slot.doses());
                for (int week = 0; week < Math.min(lifted.firstOpenWeek(), doses.size()); week++) {
                    doses.set(week, Optional.empty());
                }
                copies.add(slot.with(doses).as(slots.get(slot.id())));
            }
            return Add.last(block, new TrainingDay(copy, title.name(), title.offset(), copies))
                    .apply(block, lifted);
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            TrainingDay theirs = there(twins.theirs(), twins.of(of));
            TrainingDay twin = twins.added(theirs);
            Map<SlotId, SlotId> numbers = new HashMap<>();
            for (int s = 0; s < theirs.slots().size(); s++) {
                numbers.put(theirs.slots().get(s).id(), twin.slots().get(s).id());
            }
            return new Copy(theirs.id(), twin.id(), title, numbers);
        }
    }

    /** Takes a day away, as it is found; of one with a history, what is still to come. */
    record Remove(TrainingDay day) implements DayEdit {

        @Override
        public Edited apply(Block block, Lifted lifted) {
            EditRefused.unless(there(block, day.id()).equals(day), EditRefused.Why.OVERTAKEN);
            if (lifted.hasHistory(day.id())) {
                return SlotEdit.cleared(block, lifted, day.slots());
            }
            List<TrainingDay> days = new ArrayList<>(block.days());
            int at = block.indexOf(day.id());
            days.remove(at);
            return new Edited(block.with(days), new Add(at, day));
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            return new Remove(there(twins.theirs(), twins.of(day.id())));
        }
    }

    /**
     * Moves a day among the others.
     *
     * @param by how many places later, earlier where it is negative
     */
    record Move(DayId day, int by) implements DayEdit {

        @Override
        public Edited apply(Block block, Lifted lifted) {
            int at = block.indexOf(there(block, day).id());
            EditRefused.unless(at + by >= 0 && at + by < block.days().size(), EditRefused.Why.NO_FURTHER);
            List<TrainingDay> days = new ArrayList<>(block.days());
            days.add(at + by, days.remove(at));
            return new Edited(block.with(days), new Move(day, -by));
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            return new Move(twins.of(day), by);
        }
    }

    private static TrainingDay there(Block block, DayId id) {
        return block.day(id).orElseThrow(() -> new EditRefused(EditRefused.Why.GONE));
    }

    /** The block with a day in the place of the one of its number. */
    static Block exchanged(Block block, TrainingDay day) {
        return block.with(block.days().stream()
                .map(other -> other.id().equals(day.id()) ? day : other)
                .toList());
    }
}
