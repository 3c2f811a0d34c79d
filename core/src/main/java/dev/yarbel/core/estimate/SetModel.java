package dev.yarbel.core.estimate;

import dev.yarbel.core.lift.Lift;
import java.util.Map;

/**
 * How many repetitions a lifter can do with a load, and how that hangs on what is unknown of them.
 *
 * <p>What can be done on the day is the standing max, and the day's form, less what training and the sets before take.
 */
final class SetModel {

    /** So far above a max can a load lie that was missed. */
    private static final double MOST_ABOVE = 0.3;

    private final Gaussian belief;
    private final Kin kin;

    SetModel(Gaussian belief, Kin kin) {
        this.belief = belief;
        this.kin = kin;
    }

    /**
     * The repetitions that can be done.
     *
     * @param derivatives of their number by each unknown it hangs on
     */
    record CanDo(double reps, Map<Unknown, Double> derivatives) {}

    /** The logarithm of the standing max of a lift or variation, in kg. */
    double standing(Lift lift) {
        double log = belief.mean(new Unknown.Max(kin.root(lift)));
        for (Lift variation : kin.line(lift)) {
            log += belief.mean(new Unknown.Share(variation));
        }
        return log;
    }

    /** By how much more, as a logarithm, can be done under the circumstances than the standing max. */
    private double more(Circumstances under, boolean several) {
        double more = (under.setUp().isPlain() ? 0 : belief.mean(under.apart()))
                + belief.mean(Unknown.OfLifter.FORM)
                - belief.mean(Unknown.OfLifter.FATIGUE) * under.tired()
                - belief.mean(Unknown.OfLifter.TIRING) * under.setsBefore();
        if (under.primed()) {
            more += belief.mean(Unknown.OfLifter.PRIMING);
        }
        if (several && kin.flatters(under.lift())) {
            more += belief.mean(new Unknown.Flatter(kin.root(under.lift())));
        }
        return more;
    }

    /**
     * @param load in kg
     * @param several whether more than one repetition was done
     */
    CanDo canDo(Circumstances under, double load, boolean several) {
        double share = Math.exp(standing(under.lift()) + more(under, several)) / load;
        CurveShape.Reps reps = curve(under.lift()).reps(share - 1);
        double byMax = reps.byOver() * share;
        Map<Unknown, Double> derivatives = kin.derivativesOfStanding(under.lift(), byMax);
        derivatives.put(Unknown.OfLifter.FORM, byMax);
        derivatives.put(Unknown.OfLifter.FATIGUE, -byMax * under.tired());
        derivatives.put(Unknown.OfLifter.TIRING, -byMax * under.setsBefore());
        if (under.primed()) {
            derivatives.put(Unknown.OfLifter.PRIMING, byMax);
        }
        if (several && kin.flatters(under.lift())) {
            derivatives.put(new Unknown.Flatter(kin.root(under.lift())), byMax);
        }
        if (!under.setUp().isPlain()) {
            derivatives.put(under.apart(), byMax);
        }
        Lift owner = kin.curveOf(under.lift());
        derivatives.put(new Unknown.Steepness(owner), reps.bySteepness());
        derivatives.put(new Unknown.Bend(owner), reps.byBend());
        return new CanDo(reps.reps(), derivatives);
    }

    /** The standing max in kg that a set alone speaks for, all else as it is believed. */
    double speaksFor(Circumstances under, double load, boolean several, double reps) {
        double over = curve(under.lift()).over(reps);
        return load * Math.max(1 - MOST_ABOVE, 1 + over) * Math.exp(-more(under, several));
    }

    CurveShape curve(Lift lift) {
        Lift owner = kin.curveOf(lift);
        return CurveShape.of(belief.mean(new Unknown.Steepness(owner)), belief.mean(new Unknown.Bend(owner)));
    }
}
