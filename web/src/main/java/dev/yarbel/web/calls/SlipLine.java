package dev.yarbel.web.calls;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.web.page.LifterChooser;
import java.time.Instant;

/** A slip in the queue, as it was when it was opened. */
record SlipLine(
        long id, LifterChooser.Choice lifter, Lift lift, long sessionId, Mass before, Mass proposed, Instant openedAt) {

    public boolean raise() {
        return proposed.isGreaterThan(before);
    }
}
