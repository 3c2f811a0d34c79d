package dev.yarbel.core.adjust;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.List;

/**
 * The proposal to put another working max in place of the one that stands.
 *
 * @param before the working max as it stands
 * @param after the working max proposed; a number, not a load, so it is not rounded to what stands in the gym
 */
public record MoveWorkingMax(Lift lift, Mass before, Mass after) implements Proposal {

    @Override
    public <T> T accept(Visitor<T> visitor) {
        return visitor.moveWorkingMax(this);
    }

    @Override
    public boolean raises() {
        return after.isGreaterThan(before);
    }

    @Override
    public Percent size() {
        return after.distanceTo(before).percentOf(before);
    }

    @Override
    public List<LoadChange> changes(PlanAhead plan) {
        return plan.changes(plan.resolver().with(lift, numbers -> numbers.withWorkingMax(after)));
    }

    @Override
    public boolean isSmall() {
        return !size().isGreaterThan(Autopilot.MOST);
    }
}
