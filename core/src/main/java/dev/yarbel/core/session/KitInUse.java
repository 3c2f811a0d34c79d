package dev.yarbel.core.session;

import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.lift.Lift;
import java.util.Optional;

/** What a lifter has at hand today: the loads each lift can be done with. */
@FunctionalInterface
public interface KitInUse {

    /** The loads for a lift; empty when nothing there is made for it. */
    Optional<AvailableLoads> forLift(Lift lift);

    /** The same loads for every lift. */
    static KitInUse of(AvailableLoads loads) {
        return lift -> Optional.of(loads);
    }
}
