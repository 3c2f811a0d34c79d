package dev.yarbel.core.rehearsal;

import dev.yarbel.core.lift.Lift;
import java.util.Map;

/**
 * What the block came to for one of the lifters that it was rehearsed with.
 *
 * @param missed sets
 * @param ready for each family of lifts what the last day of the block, or the contest's, may find in kg: the standing max, less what training still takes
 */
public record OneLifter(int missed, Map<Lift, Double> ready) {

    public OneLifter {
        ready = Map.copyOf(ready);
    }
}
