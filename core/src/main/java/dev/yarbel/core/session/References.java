package dev.yarbel.core.session;

import dev.yarbel.core.measure.Mass;
import java.util.Map;
import java.util.Optional;

/**
 * What percentages of one lift can hang on beside its working max and estimate.
 *
 * @param contest the newest contest or mock contest max
 * @param goal what is wanted at the end
 * @param event the load announced for the contest
 * @param repMaxes loads by the repetitions they were lifted for, to the limit
 * @param lastTime the heaviest work load of the last session with the lift
 */
public record References(
        Optional<Mass> contest,
        Optional<Mass> goal,
        Optional<Mass> event,
        Map<Integer, Mass> repMaxes,
        Optional<Mass> lastTime) {

    /** None is known. */
    public static final References NONE =
            new References(Optional.empty(), Optional.empty(), Optional.empty(), Map.of(), Optional.empty());

    public References {
        repMaxes = Map.copyOf(repMaxes);
    }
}
