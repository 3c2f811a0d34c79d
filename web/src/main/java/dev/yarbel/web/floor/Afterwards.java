package dev.yarbel.web.floor;

import dev.yarbel.core.lift.Lift;
import java.time.LocalDate;
import java.util.List;

/**
 * What a finished session was: what was done of what was asked, what is better than before, what it moved, what comes next.
 *
 * @param next the next day of the block that is not finished; null when there is none
 */
record Afterwards(List<Line> lines, List<Moved> moved, Next next) {

    /**
     * A slot.
     *
     * @param heaviest the heaviest set that was made, in words; null where none was, or its load is not to be seen
     * @param judgement the code of how it compares with what was asked; null where nothing was done
     * @param best it is better than everything like it before
     */
    record Line(String letter, Lift lift, int sets, int asked, String heaviest, String judgement, boolean best) {}

    /** An estimate that the session moved, in words. */
    record Moved(Lift lift, String before, String after) {}

    /** The day that comes next, by its place and its date. */
    record Next(String name, LocalDate date, int day, int week) {}
}
