package dev.yarbel.core.block;

import dev.yarbel.core.prescription.Dose;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.function.Predicate;

/** An edit of a block's weeks, each counted from 0. Weeks that something was logged in stay where they are. */
public sealed interface WeekEdit extends BlockEdit {

    @Override
    default boolean movesWeeks() {
        return true;
    }

    /** Says of a week what it is for. */
    record Set(int week, BlockWeek from, BlockWeek to) implements WeekEdit {

        @Override
        public Edited apply(Block block, Lifted lifted) {
            checkThere(block, week);
            EditRefused.unless(block.shape().get(week).equals(from), EditRefused.Why.OVERTAKEN);
            return new Edited(
                    block.with(block.days(), with(block.shape(), weeks -> weeks.set(week, to))),
                    new Set(week, to, from));
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            checkThere(twins.theirs(), week);
            return new Set(week, twins.theirs().shape().get(week), to);
        }

        @Override
        public BlockEdit whereAlike(Twins twins, Lifted lifted, Predicate<SetDoses.Change> test) {
            List<BlockWeek> theirs = twins.theirs().shape();
            return week < theirs.size() && theirs.get(week).equals(from) ? this : NOTHING;
        }

        @Override
        public boolean movesWeeks() {
            return false;
        }

        @Override
        public boolean touches(SlotId slot, int other) {
            return false;
        }
    }

    /**
     * Puts a week in.
     *
     * @param at the week it becomes
     * @param doses by slot; slots without one leave the week out
     */
    record Insert(int at, BlockWeek week, Map<SlotId, Dose> doses) implements WeekEdit {

        public Insert {
            doses = Map.copyOf(doses);
        }

        /** An empty week. */
        public static Insert empty(int at) {
            return new Insert(at, BlockWeek.PLAIN, Map.of());
        }

        @Override
        public Edited apply(Block block, Lifted lifted) {
            checkOpen(at, lifted);
            EditRefused.unless(at <= block.weeks(), EditRefused.Why.GONE);
            EditRefused.unless(block.weeks() < Block.MOST_WEEKS, EditRefused.Why.TOO_LONG, Block.MOST_WEEKS);
            Block after = block.withSlots(
                    slot -> slot.with(
                            with(slot.doses(), row -> row.add(at, Optional.ofNullable(doses.get(slot.id()))))),
                    with(block.shape(), weeks -> weeks.add(at, week)));
            return new Edited(after, new Remove(at, week, doses));
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            Map<SlotId, Dose> theirs = new TreeMap<>();
            doses.forEach((slot, dose) -> twins.find(slot).ifPresent(twin -> theirs.put(twin, dose)));
            return new Insert(at, week, theirs);
        }
    }

    /** Puts a week in after one that it is like. */
    record Repeat(int week) implements WeekEdit {

        @Override
        public Edited apply(Block block, Lifted lifted) {
            checkThere(block, week);
            Map<SlotId, Dose> doses = doses(block, week);
            return new Insert(week + 1, block.shape().get(week), doses).apply(block, lifted);
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            return this;
        }
    }

    /** Takes a week away, as it is found. */
    record Remove(int at, BlockWeek week, Map<SlotId, Dose> doses) implements WeekEdit {

        public Remove {
            doses = Map.copyOf(doses);
        }

        /** @throws EditRefused when there is no such week */
        public static Remove of(Block block, int at) {
            checkThere(block, at);
            return new Remove(at, block.shape().get(at), WeekEdit.doses(block, at));
        }

        @Override
        public Edited apply(Block block, Lifted lifted) {
            checkOpen(at, lifted);
            checkThere(block, at);
            EditRefused.unless(block.weeks() > 1, EditRefused.Why.LAST_WEEK);
            EditRefused.unless(of(block, at).equals(this), EditRefused.Why.OVERTAKEN);
            Block after = block.withSlots(
                    slot -> slot.with(with(slot.doses(), row -> row.remove(at))),
                    with(block.shape(), weeks -> weeks.remove(at)));
            return new Edited(after, new Insert(at, week, doses));
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            return of(twins.theirs(), at);
        }
    }

    /** Moves a week to another place. */
    record Move(int from, int to) implements WeekEdit {

        @Override
        public Edited apply(Block block, Lifted lifted) {
            EditRefused.unless(to >= 0 && to < block.weeks(), EditRefused.Why.NO_FURTHER);
            checkThere(block, from);
            checkOpen(Math.min(from, to), lifted);
            Block after = block.withSlots(
                    slot -> slot.with(with(slot.doses(), row -> row.add(to, row.remove(from)))),
                    with(block.shape(), weeks -> weeks.add(to, weeks.remove(from))));
            return new Edited(after, new Move(to, from));
        }

        @Override
        public BlockEdit on(Twins twins, Lifted lifted) {
            return this;
        }
    }

    /** The weeks that one block has more than another, put in or taken away one by one where the two part, and not before a week. */
    static List<BlockEdit> between(Block from, Block to, int open) {
        int at = open;
        while (at < Math.min(from.weeks(), to.weeks())
                && from.shape().get(at).equals(to.shape().get(at))
                && doses(from, at).equals(doses(to, at))) {
            at++;
        }
        List<BlockEdit> edits = new ArrayList<>();
        for (int more = from.weeks(); more < to.weeks(); more++) {
            int week = at + more - from.weeks();
            edits.add(new Insert(week, to.shape().get(week), doses(to, week)));
        }
        for (int fewer = to.weeks(); fewer < from.weeks(); fewer++) {
            int week = at + fewer - to.weeks();
            edits.add(new Remove(at, from.shape().get(week), doses(from, week)));
        }
        return edits;
    }

    /** The doses of a week by slot. */
    private static Map<SlotId, Dose> doses(Block block, int week) {
        Map<SlotId, Dose> doses = new TreeMap<>();
        block.slots().forEach(slot -> slot.dose(week).ifPresent(dose -> doses.put(slot.id(), dose)));
        return doses;
    }

    private static void checkThere(Block block, int week) {
        EditRefused.unless(week >= 0 && week < block.weeks(), EditRefused.Why.GONE);
    }

    private static void checkOpen(int week, Lifted lifted) {
        EditRefused.unless(week >= lifted.firstOpenWeek(), EditRefused.Why.BEGUN, lifted.firstOpenWeek());
    }

    private static <T> List<T> with(List<T> row, Consumer<List<T>> change) {
        List<T> changed = new ArrayList<>(row);
        change.accept(changed);
        return changed;
    }
}
