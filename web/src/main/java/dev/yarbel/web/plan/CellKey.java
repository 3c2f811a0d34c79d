package dev.yarbel.web.plan;

/** A cell of the sheet: the slot and the week, from 0. */
record CellKey(long slotId, int week) {

    /** Names the cell in forms and on the page: {@code 12.3}. */
    @Override
    public String toString() {
        return slotId + "." + week;
    }
}
