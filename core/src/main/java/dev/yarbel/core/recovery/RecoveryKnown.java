package dev.yarbel.core.recovery;

import dev.yarbel.core.block.Phase;
import dev.yarbel.core.lift.Lift;

/**
 * What is known of how long lifts need until they can be trained hard again.
 *
 * @param figures of lifts, as the club and the lifter's coach set them
 * @param lifter what of the lifter makes it longer or shorter
 */
public record RecoveryKnown(RecoveryFigures figures, Recovers lifter) {

    /** As nobody said anything. */
    public static final RecoveryKnown START = new RecoveryKnown(RecoveryFigures.START, Recovers.UNKNOWN);

    /** Hours that this lifter needs after a hard day of a lift, outside of phases that make it longer or shorter. */
    public int hours(Lift lift, Lift root) {
        return Recovers.hours(
                figures.hours(lift, root), lifter.factors(root, Phase.GENERAL, figures.isOwn(lift, root)));
    }
}
