package dev.yarbel.web.calls;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.page.LifterChooser;
import java.time.Instant;

/**
 * An answered slip in the list.
 *
 * @param how the code of the answer
 * @param before the working max as it was, and after as it became, in the lifter's unit
 * @param stands whether no later decision stands on it, so that it can be taken back
 */
record AnsweredLine(
        long id,
        LifterChooser.Choice lifter,
        Lift lift,
        String how,
        String why,
        String before,
        String after,
        String who,
        Instant at,
        boolean stands) {}
