package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.Map;

/**
 * What a coach decided about a lifter in the place of what could be learnt.
 *
 * @param curves the rep curve of a lift
 * @param ratios a variation's max as a share of its parent's
 * @param biases how the ratings of a family of lifts lean, by its root, in repetitions as {@link RatingBias#reps} counts them
 */
public record Overrules(Map<Lift, RepCurve> curves, Map<Lift, Percent> ratios, Map<Lift, BigDecimal> biases) {

    /** Everything is learnt. */
    public static final Overrules NONE = new Overrules(Map.of(), Map.of(), Map.of());

    public Overrules {
        curves = Map.copyOf(curves);
        ratios = Map.copyOf(ratios);
        biases = Map.copyOf(biases);
    }
}
