package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.review.Mark;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** New blocks, and blocks given to several lifters, each with their own numbers and kit. */
@Service
class GivenBlocks {

    private final Plans plans;
    private final Roster roster;
    private final PlanReview review;
    private final Ledger ledger;

    GivenBlocks(Plans plans, Roster roster, PlanReview review, Ledger ledger) {
        this.plans = plans;
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
                    Mark.together(review.review(theirs, plans.blocksOf(lifter)).marks()).stream()
                            .map(mark -> review.inWords(theirs, mark))
                            .toList()));
        }
        return given;
    }
}
