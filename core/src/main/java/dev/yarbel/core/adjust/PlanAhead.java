package dev.yarbel.core.adjust;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import java.time.LocalDate;
import java.util.List;

/**
 * A lifter's block as it stands, and what of it is still ahead.
 *
 * @param resolver what makes loads of its doses
 * @param log what was lifted of it
 * @param projection what its doses come to
 * @param today where the lifter is
 */
public record PlanAhead(Block block, Resolver resolver, Projection.Log log, Projection projection, LocalDate today) {

    /** Every load that comes out differently by other numbers or kit, from today on, on days not yet finished. */
    public List<LoadChange> changes(Resolver other) {
        return LoadChange.between(projection, Projection.of(block, other, log), block, today.minusDays(1)).stream()
                .filter(change -> log.on(change.day(), change.week()).isEmpty())
                .toList();
    }
}
