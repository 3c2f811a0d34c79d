package dev.yarbel.core.estimate;

import dev.yarbel.core.lift.Lift;
import java.util.LinkedHashMap;
import java.util.Map;
import org.hipparchus.linear.RealVector;

/** What a lifter is expected to say of a set: the repetitions that can be done less those that were, and how their ratings lean. */
final class RatingModel {

    /** The spread of a rating with nothing left, in repetitions. */
    private static final double NOISE = 0.5;
    /** How much it grows for each repetition that is expected to be left. */
    private static final double NOISE_PER_REP_LEFT = 0.35;

    private static final double NOISE_PER_FURTHER_REP = 0.05;
    /** Ratings come in halves. */
    private static final double ROUNDING = 0.5 * 0.5 / 12;

    private final Gaussian unknowns;
    private final Kin kin;
    private final SetModel model;

    RatingModel(Gaussian unknowns, Kin kin) {
        this.unknowns = unknowns;
        this.kin = kin;
        this.model = new SetModel(unknowns, kin);
    }

    /**
     * What is expected to be said.
     *
     * @param left repetitions
     * @param slope how it hangs on what is unknown
     * @param noise the variance of what is said beyond that
     */
    record Said(double left, RealVector slope, double noise) {}

    /**
     * How the ratings of a family of lifts lean.
     *
     * @param reps what is said beyond what is left
     * @param derivatives how that hangs on what is unknown; none where the coach decided it
     */
    record Lean(double reps, Map<Unknown, Double> derivatives) {}

    Lean lean(Lift root) {
        Unknown own = new Unknown.Bias(root);
        return kin.decidedBias(root)
                .map(decided -> new Lean(decided.doubleValue(), Map.of()))
                .orElseGet(() -> new Lean(
                        unknowns.mean(Unknown.OfLifter.BIAS) + unknowns.mean(own),
                        Map.of(Unknown.OfLifter.BIAS, 1.0, own, 1.0)));
    }

    /** The spread of what is said where so many repetitions are left of a set of so many. */
    static double spread(double left, int reps) {
        return NOISE + NOISE_PER_REP_LEFT * Math.max(0, left) + NOISE_PER_FURTHER_REP * Math.max(0, reps - 1);
    }

    /**
     * @param load in kg
     */
    Said of(Circumstances under, double load, int reps) {
        Lift root = kin.root(under.lift());
        SetModel.CanDo can = model.canDo(under, load, reps > 1);
        double left = can.reps() - reps;
        Map<Unknown, Double> derivatives = new LinkedHashMap<>(can.derivatives());
        Lean lean = lean(root);
        derivatives.putAll(lean.derivatives());
        double spread = spread(left, reps);
        return new Said(left + lean.reps(), unknowns.slope(derivatives), spread * spread + ROUNDING);
    }
}
