package dev.yarbel.core.ramp;

import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.PlateStack;
import java.util.List;
import java.util.Set;

/**
 * The warm-up sets that lead to a top load, lightest first, and the bar as it is loaded for the top.
 *
 * @param steps the warm-up sets; empty when nothing lighter is needed or there
 * @param top the top set's bar: the last step's plates and more, unless something had to come off
 * @param remarks what this kit did not allow, or what has to be known; empty for a ramp within all rules
 */
public record Ramp(List<RampStep> steps, LoadedBar top, Set<Remark> remarks) {

    /** What a ramp could not keep to, for want of plates, or what has to be known of it. */
    public enum Remark {
        /** Plates come off on the way, more than two a side or not for a larger one: the fewest times this kit allows. */
        STRIPS,
        /** Up to two plates a side come off for a larger one. */
        SWAPS,
        /** From 70 % of the top on, a step is not smaller than the one before. */
        STEPS_DO_NOT_SHRINK,
        /** The last warm-up is neither within 80 to 96 % of the top nor a short step from a light one. */
        LAST_STEP_OUT_OF_RANGE,
        /** The top is the bare bar, or the lightest piece: there is nothing lighter. */
        TOP_IS_THE_BAR,
        /** No plate gives even jumps that end at 80 % or above, so that the steps shrink instead. */
        NO_EVEN_JUMPS,
        /** A pull that no full-size disc fits under: the bar stands on blocks at the height it would lie at. */
        ON_BLOCKS,
        /** The top is beyond what the lifter can do: the last warm-up is within it, the rest is handled with a spotter. */
        HANDLED
    }

    public Ramp {
        steps = List.copyOf(steps);
        remarks = Set.copyOf(remarks);
    }

    /** How many times plates come off between the first step and the top. */
    public int strips() {
        int strips = 0;
        for (int i = 0; i < steps.size(); i++) {
            LoadedBar next = i + 1 < steps.size() ? steps.get(i + 1).loading() : top;
            if (!steps.get(i).loading().stack().isPrefixOf(next.stack())) {
                strips++;
            }
        }
        return strips;
    }

    /** How many plates a side are put on and taken off from a bar as it stands to the top. */
    public int handled(PlateStack from) {
        int handled = 0;
        PlateStack on = from;
        for (RampStep step : steps) {
            handled += on.handledFor(step.loading().stack());
            on = step.loading().stack();
        }
        return handled + on.handledFor(top.stack());
    }
}
