package dev.yarbel.core.adjust;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.SlotId;
import java.util.List;
import java.util.function.Supplier;

/** A proposal to write something else into the lifter's block: one edit of it, which can be taken back. */
public sealed interface PlanChange extends Proposal
        permits NextLoads, SwapLift, DeloadWeek, ReturnLadder, AddAssistance, Replan {

    /**
     * The edit.
     *
     * @param plan what its loads hang on
     * @param block as it stands now
     * @param newSlot gives slots that are new their numbers
     */
    BlockEdit edit(PlanAhead plan, Block block, Supplier<SlotId> newSlot);

    @Override
    default List<LoadChange> changes(PlanAhead plan) {
        BlockEdit edit = edit(plan, plan.block(), () -> SlotId.NEW);
        return plan.changes(edit.apply(plan.block(), plan.lifted()).block());
    }
}
