package dev.yarbel.core.rehearsal;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.estimate.LifterStrength;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import java.time.LocalDate;

/**
 * A block and the lifter who is to lift it.
 *
 * @param projection what it comes to
 * @param log what was lifted of it
 * @param strength what is believed of the lifter today
 * @param share of the estimate that the coach plans with as the working max
 * @param today what lies before it and was not lifted is not rehearsed
 */
public record Staged(
        Block block,
        Projection projection,
        Resolver resolver,
        Projection.Log log,
        LifterStrength strength,
        Percent share,
        LocalDate today) {

    /** Whether a day is still to be lifted. */
    boolean isAhead(int day, int week) {
        return !block.date(day, week).isBefore(today) && log.on(day, week).isEmpty();
    }
}
