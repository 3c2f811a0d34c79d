package dev.yarbel.web.plan;

import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Lift;
import java.time.LocalDate;
import java.util.List;

/** One training day across the weeks. */
record SheetView(int day, List<Tab> tabs, List<Week> weeks, List<Row> rows) {

    /** A day to turn to. */
    record Tab(int day, String name, boolean open) {}

    /** A column's head. */
    record Week(int number, LocalDate date, boolean current, boolean lifted) {}

    /**
     * A slot with its cells.
     *
     * @param kit what its loads are made with; null when the gym has nothing for the lift
     * @param hurting the open aches that the lift loads
     */
    record Row(String letter, Lift lift, String kit, List<Ache> hurting, List<CellView> cells) {}

    public boolean hasTrouble() {
        return rows.stream().flatMap(row -> row.cells().stream()).anyMatch(cell -> cell.trouble()
                .isPresent());
    }
}
