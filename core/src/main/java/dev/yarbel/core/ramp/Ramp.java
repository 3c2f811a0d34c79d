package dev.yarbel.core.ramp;

import dev.yarbel.core.equipment.Loading;
import java.util.List;
import java.util.Set;

/**
 * The warm-up sets that lead to a top load, lightest first, and the bar as it is loaded for the top.
 *
 * @param steps the warm-up sets; empty when the top is the bare bar itself
 * @param top the top set's bar: the last step's plates and more, unless something had to come off
 * @param remarks what this kit did not allow; empty for a ramp within all rules
 */
public record Ramp(List<RampStep> steps, Loading top, Set<Remark> remarks) {

    /** What a ramp could not keep to, for want of plates. */
    public enum Remark {
        /** Plates come off on the way: the fewest times that this kit allows. */
        STRIPS,
        /** From 70 % of the top on, a step is not smaller than the one before. */
        STEPS_DO_NOT_SHRINK,
        /** The last warm-up is neither within 88 to 95 % of the top nor a short step from a light one. */
        LAST_STEP_OUT_OF_RANGE,
        /** The top is the bare bar, or the lightest piece: there is nothing lighter. */
        TOP_IS_THE_BAR
    }

    public Ramp {
        steps = List.copyOf(steps);
        remarks = Set.copyOf(remarks);
    }

    /** How many times plates come off between the bare bar and the top. */
    public int strips() {
        int strips = 0;
        for (int i = 0; i < steps.size(); i++) {
            Loading next = i + 1 < steps.size() ? steps.get(i + 1).loading() : top;
            if (!steps.get(i).loading().stack().isPrefixOf(next.stack())) {
                strips++;
            }
        }
        return strips;
    }
}
