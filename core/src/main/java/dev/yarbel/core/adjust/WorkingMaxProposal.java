package dev.yarbel.core.adjust;

import dev.yarbel.core.equipment.Loads;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.Optional;

/**
 * A proposal to move a working max towards what the lifter's estimate says.
 *
 * @param before the working max as it stands
 * @param after the working max proposed; a number, not a load, so it is not rounded to what stands in the gym
 * @param estimate the estimate that parted from it
 * @param target the coach's share of that estimate, where the working max would be without a cap
 * @param capped whether the cap kept it short of the target
 */
public record WorkingMaxProposal(Mass before, Mass after, Mass estimate, Mass target, boolean capped) {

    /** Less than this apart, estimate and working max agree. */
    public static final Percent TOLERANCE = Percent.of("2.5");

    /**
     * The proposal for one lift, if there is anything to propose.
     *
     * <p>There is when the coach's share of the estimate and the working max are more than 2.5 % of the working max apart
     * and more than one loadable step. The movement is capped, but to no less than one loadable step, or a small max could
     * never move. Pain means no rise.
     *
     * @param share the coach's share of the estimate that a working max stands at, usually 90 to 100 %
     * @param painNoted whether the lifter noted pain in the session seen
     * @param loads what the lift is loaded with, whose steps say how little is worth a decision
     */
    public static Optional<WorkingMaxProposal> of(
            Mass workingMax, Mass estimate, Percent share, Caps caps, boolean painNoted, Loads loads) {
        Mass target = estimate.times(share);
        Mass gap = target.minus(workingMax);
        Mass step = loads.stepAt(workingMax);
        if (gap.abs().compareTo(workingMax.times(TOLERANCE)) <= 0
                || gap.abs().compareTo(step) <= 0
                || gap.isPositive() && painNoted) {
            return Optional.empty();
        }
        Mass most = Mass.max(step, workingMax.times(gap.isPositive() ? caps.raise() : caps.lower()));
        boolean capped = gap.abs().isGreaterThan(most);
        Mass moved = capped ? most : gap.abs();
        Mass after = gap.isPositive() ? workingMax.plus(moved) : workingMax.minus(moved);
        return Optional.of(new WorkingMaxProposal(workingMax, after, estimate, target, capped));
    }

    public boolean isRaise() {
        return after.isGreaterThan(before);
    }
}
