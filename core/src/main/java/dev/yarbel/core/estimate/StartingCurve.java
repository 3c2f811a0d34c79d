package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.OneParameterCurve;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;

/**
 * What is believed of a rep curve before anything was lifted: its steepness as the logarithm of its share of the usual one,
 * and its bend, each with one standard deviation. The doubts are starting values of ours.
 */
record StartingCurve(double steepness, double steepnessDoubt, double bend, double bendDoubt) {

    /** The curve of a lifter about whom nothing is known. */
    static final StartingCurve USUAL = new StartingCurve(0, 0.2, 1, 0.5);

    private static final double DECIDED = 0.02;
    private static final int FEW = 3;
    private static final int MANY = 10;

    /** The curve a coach decided on, which is hardly doubted: it passes through the curve's shares at 3 and 10 repetitions. */
    static StartingCurve decided(RepCurve curve) {
        if (curve instanceof OneParameterCurve own) {
            return new StartingCurve(Math.log(own.k().doubleValue() / CurveShape.USUAL_STEEPNESS), DECIDED, 1, DECIDED);
        }
        CurveShape through = CurveShape.through(FEW, share(curve, FEW), MANY, share(curve, MANY));
        return new StartingCurve(
                Math.log(through.steepness() / CurveShape.USUAL_STEEPNESS), DECIDED, through.bend(), DECIDED);
    }

    private static double share(RepCurve curve, int reps) {
        return curve.share(RepsInAll.toTheLimit(reps)).figure().doubleValue() / 100;
    }
}
