package dev.yarbel.web.plan;

import dev.yarbel.core.block.SlotId;

/** A cell of the sheet: the slot and the week, from 0. */
record CellKey(SlotId slot, int week) {

    /** Names the cell in forms and on the page: {@code 12.3}. */
    @Override
    public String toString() {
        return slot + "." + week;
    }
}
