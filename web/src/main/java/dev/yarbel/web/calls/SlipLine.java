package dev.yarbel.web.calls;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.web.page.LifterChooser;
import java.time.Instant;

/**
 * A slip in the queue, as it was when it was opened.
 *
 * @param rule the key of the rule that gave it
 * @param raises whether it proposes that the lifter does more
 * @param size how much it would change
 */
record SlipLine(
        long id,
        LifterChooser.Choice lifter,
        Lift lift,
        long sessionId,
        String rule,
        boolean raises,
        Percent size,
        Instant openedAt) {}
