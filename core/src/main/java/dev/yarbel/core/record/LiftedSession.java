package dev.yarbel.core.record;

import java.time.LocalDate;
import java.util.List;

/** The sets of one finished session in the order they were lifted. */
public record LiftedSession(LocalDate date, List<LiftedSet> sets) {

    public LiftedSession {
        sets = List.copyOf(sets);
    }
}
