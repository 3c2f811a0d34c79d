package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** New blocks, and blocks given to several lifters, each with their own numbers and kit; and edits that follow to them. */
@Service
class GivenBlocks {

    private final Plans plans;
    private final BlockRepository blocks;
    private final BlockDesk desk;
    private final Roster roster;
    private final PlanReview review;
    private final Ledger ledger;

    GivenBlocks(Plans plans, BlockRepository blocks, BlockDesk desk, Roster roster, PlanReview review, Ledger ledger) {
        this.plans = plans;
        this.blocks = blocks;
        this.desk = desk;
        this.roster = roster;
        this.review = review;
        this.ledger = ledger;
    }

    /** Begins a block; one that has not run its course by then is put aside. */
    @Transactional
    public long begin(Person coach, LifterCard lifter, String name, Block block, String origin) {
        long id = plans.add(lifter, name, block, origin);
        plans.putAside(lifter, block.start(), id);
        ledger.write(
                coach,
                lifter,
                ChangeKind.BLOCK,
                List.of("begun", name, block.start().toString()),
                Optional.empty(),
                "",
                name);
        return id;
    }

    /**
     * What a lifter got.
     *
     * @param marks what a coach may want to look at in theirs
     */
    record Given(LifterCard lifter, long block, List<SheetView.MarkView> marks) {}

    /** Gives a block to lifters of the same coach, from a day on. */
    @Transactional
    public List<Given> give(Person coach, LifterPlan plan, List<Long> lifters, LocalDate start, ZoneId zone) {
        Block source = plan.block();
        Block block = new Block(start, source.weeks(), source.days(), source.shape(), Optional.empty());
        String origin = plans.blocksOf(plan.lifter()).stream()
                .filter(own -> own.id() == plan.blockId())
                .map(BlockEntity::origin)
                .filter(text -> !text.isEmpty())
                .findFirst()
                .orElse("block:" + plan.blockId());
        List<Given> given = new ArrayList<>();
        for (long id : lifters) {
            LifterCard lifter = roster.lifter(coach, id);
            if (lifter.id() == plan.lifter().id()) {
                continue;
            }
            long copy = begin(coach, lifter, plan.name(), block, origin);
            plans.givenFrom(lifter, copy, plan.blockId());
            LifterPlan theirs = plans.open(lifter, zone, Optional.of(copy)).orElseThrow();
            given.add(new Given(
                    lifter,
                    copy,
                    review.review(theirs, plans.blocksOf(lifter)).marks().stream()
                            .map(mark -> review.inWords(theirs, mark))
                            .toList()));
        }
        return given;
    }

    /**
     * Has doses that were just changed follow to the blocks given from this one, where the same slot asks for what it asked
     * for here before. What differs there is left as it is.
     *
     * @param before what each cell held here
     * @param after what it holds now
     * @return how many blocks followed
     */
    @Transactional
    public int follow(
            Person coach,
            LifterPlan plan,
            int day,
            Map<CellKey, String> before,
            Map<CellKey, String> after,
            ZoneId zone) {
        int followed = 0;
        for (BlockEntity copy : blocks.findByClubIdAndGivenFrom(plan.lifter().clubId(), plan.blockId())) {
            LifterCard lifter;
            try {
                lifter = roster.lifter(coach, copy.lifterId());
            } catch (NotFoundException notTheirs) {
                continue;
            }
            LifterPlan theirs = plans.open(lifter, zone, Optional.of(copy.id())).orElseThrow();
            followed += follow(coach, plan, theirs, day, before, after) ? 1 : 0;
        }
        return followed;
    }

    private boolean follow(
            Person coach,
            LifterPlan plan,
            LifterPlan theirs,
            int day,
            Map<CellKey, String> before,
            Map<CellKey, String> after) {
        BlockDesk.Open open = desk.open(theirs);
        Map<Long, Long> twins = twins(plan, theirs, day);
        boolean changed = false;
        for (Map.Entry<CellKey, String> cell : after.entrySet()) {
            Long twin = twins.get(cell.getKey().slotId());
            if (twin == null || cell.getKey().week() >= open.draft.weeks.size()) {
                continue;
            }
            CellKey key = new CellKey(twin, cell.getKey().week());
            if (!open.isHistory(key) && open.draft.cell(key).equals(before.getOrDefault(cell.getKey(), ""))) {
                open.draft.cell(key, cell.getValue());
                changed = true;
            }
        }
        return changed
                && desk.keep(
                                coach,
                                open,
                                BlockDesk.Told.of("followed", plan.lifter().name()))
                        > 0;
    }

    /** The slots of another block that stand where these do: on a day of the same name, with letter and lift the same. */
    private static Map<Long, Long> twins(LifterPlan plan, LifterPlan theirs, int day) {
        Map<Long, Long> twins = new HashMap<>();
        var ours = plan.block().days().get(day);
        for (int d = 0; d < theirs.block().days().size(); d++) {
            var other = theirs.block().days().get(d);
            if (!other.name().equals(ours.name())) {
                continue;
            }
            for (int s = 0; s < ours.slots().size(); s++) {
                for (int o = 0; o < other.slots().size(); o++) {
                    if (other.slots().get(o).letter().equals(ours.slots().get(s).letter())
                            && other.slots()
                                    .get(o)
                                    .lift()
                                    .equals(ours.slots().get(s).lift())) {
                        twins.put(
                                plan.slotIds().get(day).get(s),
                                theirs.slotIds().get(d).get(o));
                    }
                }
            }
        }
        return twins;
    }
}
