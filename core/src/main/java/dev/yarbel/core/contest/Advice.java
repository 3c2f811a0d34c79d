package dev.yarbel.core.contest;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import java.util.List;
import java.util.Optional;

/** A way to choose attempts. */
public interface Advice {

    /**
     * The load to call next at a lift.
     *
     * @param before the attempts at it so far
     * @param subtotal the best of each lift before it
     * @return empty when its attempts are over
     */
    Optional<Mass> next(Lift lift, List<Attempt> before, Mass subtotal);
}
