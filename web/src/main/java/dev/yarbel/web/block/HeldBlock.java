package dev.yarbel.web.block;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.DayId;
import dev.yarbel.core.block.EditRefused;
import dev.yarbel.core.block.Edited;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.review.Gate;
import java.util.Set;
import java.util.function.Supplier;

/**
 * A block that is held by whoever changes it now, until the end of the transaction.
 *
 * <p>Its doses are those of this moment; what was lifted, and what the lifter's numbers are, is as it was read for the request.
 */
public final class HeldBlock {

    private final LifterBlock read;
    private final BlockStore.Rows rows;
    private final Block block;
    private final Supplier<DayId> newDay;
    private final Supplier<SlotId> newSlot;

    HeldBlock(LifterBlock read, BlockStore.Rows rows, Supplier<DayId> newDay, Supplier<SlotId> newSlot) {
        this.read = read;
        this.rows = rows;
        this.block = rows.block();
        this.newDay = newDay;
        this.newSlot = newSlot;
    }

    /** As it was read for the request. */
    public LifterBlock read() {
        return read;
    }

    /** As it is kept now. */
    public Block block() {
        return block;
    }

    /** Tells by one word whether days, slots and weeks are what somebody saw who wants to change them. */
    public String stamp() {
        return LifterBlock.stamp(block);
    }

    BlockStore.Rows rows() {
        return rows;
    }

    /** The gates that stand closed before a dose in a slot. */
    public Set<Gate> closed(Slot slot, Dose dose) {
        return read.closed(slot, dose, rows.gates());
    }

    /** A number for a day that is new. */
    public DayId newDay() {
        return newDay.get();
    }

    /** A number for a slot that is new. */
    public SlotId newSlot() {
        return newSlot.get();
    }

    /**
     * What an edit would make of it; nothing is kept.
     *
     * @throws BlockRefused when it does not go
     */
    public Edited tried(BlockEdit edit) {
        try {
            return edit.apply(block, read);
        } catch (EditRefused refused) {
            throw BlockRefused.of(refused);
        }
    }
}
