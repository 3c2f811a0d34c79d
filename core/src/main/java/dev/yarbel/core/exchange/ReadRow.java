package dev.yarbel.core.exchange;

import java.util.List;

/** What came of a row: its sets, and what stands against some of it. Both are none for a row that says nothing. */
public record ReadRow(List<ReadSet> sets, List<Trouble> troubles) {

    public ReadRow {
        sets = List.copyOf(sets);
        troubles = List.copyOf(troubles);
    }
}
