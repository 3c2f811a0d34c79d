package dev.yarbel.core.adjust;

import dev.yarbel.core.lift.Lift;

/** The proposal to leave everything as it is planned, and to know what was seen. */
public record Hold(Lift lift) implements Proposal {

    @Override
    public <T> T accept(Visitor<T> visitor) {
        return visitor.hold(this);
    }
}
