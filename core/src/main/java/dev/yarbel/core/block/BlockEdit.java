package dev.yarbel.core.block;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * One change of a block, as a value: it can be tried, made, taken back, kept and made on another block.
 *
 * <p>An edit says what it found beside what it leaves. One that finds something else is refused, so that nobody overwrites
 * what they have not seen. It leaves alone what was lifted; each edit knows what that means for it.
 */
public sealed interface BlockEdit
        permits SetDoses,
                WeekEdit,
                DayEdit,
                SlotEdit,
                BlockEdit.Rename,
                BlockEdit.Start,
                BlockEdit.Shift,
                BlockEdit.Several {

    /**
     * Makes the edit.
     *
     * @throws EditRefused when it does not go; the block is as it was
     */
    Edited apply(Block block, Lifted lifted);

    /**
     * The same edit of another block, about the days and slots that stand for those of this one there, and about what stands
     * in them now.
     *
     * @throws EditRefused when something that it is about is not there
     */
    BlockEdit on(Twins twins, Lifted lifted);

    /**
     * As much of the edit as goes on another block without overwriting anything there: doses where the same slot asks for what
     * it asked for here, weeks that are for the same. Any other edit goes as a whole.
     *
     * @param test further things that a dose has to pass
     */
    default BlockEdit whereAlike(Twins twins, Lifted lifted, Predicate<SetDoses.Change> test) {
        return on(twins, lifted);
    }

    /** Whether weeks have other numbers after it. */
    default boolean movesWeeks() {
        return false;
    }

    /** Whether it may have changed the dose of a slot in a week; every edit but one of doses alone may. */
    default boolean touches(SlotId slot, int week) {
        return true;
    }

    /**
     * The edit that makes one block of another with the same days and slots, and more or fewer weeks: those are put in or taken away where the
     * two part.
     *
     * @param open the first week, from 0, that may go or move
     */
    static BlockEdit between(Block from, Block to, int open) {
        List<BlockEdit> edits = WeekEdit.between(from, to, open);
        Block level = from;
        for (BlockEdit edit : edits) {
            level = edit.apply(level, Lifted.NOTHING).block();
        }
        edits.add(between(level, to));
        return edits.size() == 1 ? edits.get(0) : new Several(edits);
    }

    /**
     * The edit that makes one block of another with the same days, slots and number of weeks: their doses, what the weeks are
     * for, name and contest.
     */
    static BlockEdit between(Block from, Block to) {
        List<BlockEdit> edits = new ArrayList<>();
        SetDoses doses = SetDoses.between(from, to);
        if (!doses.changes().isEmpty()) {
            edits.add(doses);
        }
        for (int week = 0; week < from.weeks(); week++) {
            if (!from.shape().get(week).equals(to.shape().get(week))) {
                edits.add(new WeekEdit.Set(
                        week, from.shape().get(week), to.shape().get(week)));
            }
        }
        if (!from.name().equals(to.name()) || !from.contest().equals(to.contest())) {
            edits.add(new Rename(new Title(from.name(), from.contest()), new Title(to.name(), to.contest())));
        }
        return edits.size() == 1 ? edits.get(0) : new Several(edits);
    }

    /** An edit that leaves a block as it is. */
    BlockEdit NOTHING = new Several(List.of());

    /** What a block is called, and the contest it leads to. */
    record Title(String name, Optional<LocalDate> contest) {}

    /** Gives a block another name or contest. */
    record Rename(Title from, Title to) implements BlockEdit {

        @Override
        public Edited apply(Block block, Lifted lifted) {
            EditRefused.unless(new Title(block.name(), block.contest()).equals(from), EditRefused.Why.OVERTAKEN);
            return new Edited(block.named(to.name()).toward(to.contest()), new Rename(to, from));
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            Block theirs = twins.theirs();
            return new Rename(new Title(theirs.name(), theirs.contest()), to);
        }
    }

    /** Moves a block's first day, and every day with it; only before anything was logged. */
    record Start(LocalDate from, LocalDate to) implements BlockEdit {

        @Override
        public Edited apply(Block block, Lifted lifted) {
            EditRefused.unless(lifted.firstOpenWeek() == 0, EditRefused.Why.BEGUN, lifted.firstOpenWeek());
            EditRefused.unless(block.start().equals(from), EditRefused.Why.OVERTAKEN);
            return new Edited(block.from(to), new Start(to, from));
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            return new Start(twins.theirs().start(), to);
        }
    }

    /**
     * Moves a block's first day; its days stay on their weekdays, and those that fell before the new first day of a week come
     * at its end. Only before anything was logged.
     */
    record Shift(LocalDate from, LocalDate to) implements BlockEdit {

        @Override
        public Edited apply(Block block, Lifted lifted) {
            Block moved = new Start(from, to).apply(block, lifted).block();
            int by = (int) (ChronoUnit.DAYS.between(from, to) % 7);
            List<TrainingDay> days = moved.days().stream()
                    .map(day -> new TrainingDay(day.id(), day.name(), Math.floorMod(day.offset() - by, 7), day.slots()))
                    .toList();
            return new Edited(moved.with(days), new Shift(to, from));
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            return new Shift(twins.theirs().start(), to);
        }
    }

    /** Several edits, one after the other; all of them are made or none. */
    record Several(List<BlockEdit> edits) implements BlockEdit {

        public Several {
            edits = List.copyOf(edits);
        }

        @Override
        public Edited apply(Block block, Lifted lifted) {
            Block after = block;
            Deque<BlockEdit> back = new ArrayDeque<>();
            for (BlockEdit edit : edits) {
                Edited edited = edit.apply(after, lifted);
                after = edited.block();
                back.push(edited.back());
            }
            return new Edited(after, new Several(List.copyOf(back)));
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            return new Several(
                    edits.stream().map(edit -> edit.on(twins, lifted)).toList());
        }

        @Override
        public BlockEdit whereAlike(Twins twins, Lifted lifted, Predicate<SetDoses.Change> test) {
            return new Several(edits.stream()
                    .map(edit -> edit.whereAlike(twins, lifted, test))
                    .toList());
        }

        @Override
        public boolean movesWeeks() {
            return edits.stream().anyMatch(BlockEdit::movesWeeks);
        }

        @Override
        public boolean touches(SlotId slot, int week) {
            return edits.stream().anyMatch(edit -> edit.touches(slot, week));
        }
    }
}
