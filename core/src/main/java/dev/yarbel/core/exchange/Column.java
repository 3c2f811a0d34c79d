package dev.yarbel.core.exchange;

import dev.yarbel.core.measure.MassUnit;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A column of a table.
 *
 * @param head as it stands in the table; blank where it has none
 * @param unit of the loads in it, where the head says so
 * @param day on which all of it was done, where the head says so
 * @param week in which all of it was done, from 1, where the head says so
 */
public record Column(
        String head, Holds holds, Optional<MassUnit> unit, Optional<LocalDate> day, Optional<Integer> week) {

    /** A column that holds nothing wanted. */
    static Column unknown(String head) {
        return new Column(head, Holds.NOTHING, Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** The same, holding something else. */
    public Column holding(Holds other) {
        return new Column(head, other, unit, day, week);
    }
}
