package dev.yarbel.core.ramp;

import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.measure.Mass;
import java.util.List;
import java.util.Optional;

/**
 * Where a ramp starts and what comes after its top.
 *
 * @param onTheBar the plates that are on the bar
 * @param warm the heaviest load that the lift was done with today; empty for a lift that is cold, which begins with the bare
 *     bar
 * @param down the loads that follow the top on the same bar, lighter, in order
 * @param fromTheFloor the bar is pulled from the floor, so it lies on full-size discs
 */
public record Start(PlateStack onTheBar, Optional<Mass> warm, List<Mass> down, boolean fromTheFloor) {

    /** A cold lift on an empty bar, with nothing to follow. */
    public static final Start COLD = new Start(PlateStack.EMPTY, Optional.empty(), List.of(), false);

    public Start {
        down = List.copyOf(down);
    }

    /** The same with these loads after the top. */
    public Start then(List<Mass> loads) {
        return new Start(onTheBar, warm, loads, fromTheFloor);
    }

    /** The same pulled from the floor, or not. */
    public Start fromTheFloor(boolean pulled) {
        return new Start(onTheBar, warm, down, pulled);
    }

    /** The same lift done with so much today already, on a bar as it is. */
    public Start after(Mass load, PlateStack stack) {
        return new Start(stack, Optional.of(load), down, fromTheFloor);
    }
}
