package dev.yarbel.core.adjust;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import java.util.List;

/** The proposal to leave everything as it is planned, and to know what was seen. */
public record Hold(Lift lift) implements Proposal {

    @Override
    public <T> T accept(Visitor<T> visitor) {
        return visitor.hold(this);
    }

    @Override
    public boolean raises() {
        return false;
    }

    @Override
    public Percent size() {
        return Percent.ZERO;
    }

    @Override
    public List<LoadChange> changes(PlanAhead plan) {
        return List.of();
    }
}
