package dev.yarbel.core.estimate;

import dev.yarbel.core.lift.Lift;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Set;
import java.util.random.RandomGenerator;

/**
 * How what is unknown of a lifter changes by itself from one day to a later one, and what is believed of it at first.
 *
 * <p>A standing max wanders, grows a little in training, and loses some while the lifter stays away, of which most comes back
 * within weeks; the day's form runs on for days and returns to nothing; the rest hardly changes. All figures are starting values of ours, chosen on
 * simulated lifters.
 */
final class LifterProcess {

    private static final double HARDLY = 1e-6;
    private static final double BIAS = 0.7;
    private static final double BIAS_IN_A_LIFT = 0.4;
    private static final double BIAS_WANDERS_A_WEEK = 0.06;
    private static final double FORM = 0.025;
    private static final double FORM_DAYS = 3;
    private static final double GAIN_A_WEEK = 0.001;
    private static final double GAIN_DOUBT = 0.001;
    private static final double FATIGUE = 0.015;
    private static final double FATIGUE_DOUBT = 0.01;
    private static final double TIRING = 0.005;
    private static final double TIRING_DOUBT = 0.003;
    private static final double PRIMING = 0.01;
    private static final double PRIMING_DOUBT = 0.01;
    private static final double FLATTER = 0.01;
    private static final double FLATTER_DOUBT = 0.015;
    private static final double RATIO_DOUBT = 0.08;
    private static final double COACHS_RATIO_DOUBT = 0.02;
    private static final double MAX_WANDERS_A_DAY = 0.0025;
    /** While there is no log, nobody knows what is trained. */
    private static final double UNSEEN_WANDERS_A_DAY = 0.006;

    private static final double RATIO_WANDERS_A_DAY = 0.001;
    private static final double OF_IT_TOGETHER = 0.5;
    private static final double LOSS_DOUBT = 0.5;

    private final Kin kin;
    private final Set<Ingredient> without;

    LifterProcess(Kin kin, Set<Ingredient> without) {
        this.kin = kin;
        this.without = without;
    }

    /** What is believed of a lifter of whom nothing was lifted. */
    Gaussian atFirst() {
        Gaussian unknowns = Gaussian.empty();
        add(unknowns, Unknown.OfLifter.BIAS, 0, BIAS, Ingredient.RATING_BIAS);
        add(unknowns, Unknown.OfLifter.FORM, 0, FORM, Ingredient.DAY_FORM);
        add(unknowns, Unknown.OfLifter.GAIN, GAIN_A_WEEK, GAIN_DOUBT, Ingredient.GAIN);
        add(unknowns, Unknown.OfLifter.FATIGUE, FATIGUE, FATIGUE_DOUBT, Ingredient.TIREDNESS);
        add(unknowns, Unknown.OfLifter.TIRING, TIRING, TIRING_DOUBT, Ingredient.TIREDNESS);
        add(unknowns, Unknown.OfLifter.PRIMING, PRIMING, PRIMING_DOUBT, Ingredient.TIREDNESS);
        return unknowns;
    }

    /**
     * The first that is known of a family of lifts.
     *
     * @param logMax the logarithm of the root's max in kg
     */
    void begin(Gaussian unknowns, Lift root, double logMax, double doubt) {
        unknowns.add(new Unknown.Max(root), logMax, doubt);
        beginCurve(unknowns, root);
        add(unknowns, new Unknown.Bias(root), 0, BIAS_IN_A_LIFT, Ingredient.RATING_BIAS);
        if (kin.flatters(root)) {
            add(unknowns, new Unknown.Flatter(root), FLATTER, FLATTER_DOUBT, Ingredient.TIREDNESS);
        }
    }

    /** The first that is known of a variation whose family is known. */
    void beginVariation(Gaussian unknowns, Lift lift) {
        for (Lift variation : kin.line(lift)) {
            if (!unknowns.knows(new Unknown.Share(variation))) {
                var ratio = kin.parent(variation);
                unknowns.add(
                        new Unknown.Share(variation),
                        Math.log(ratio.share().figure().doubleValue() / 100),
                        switch (ratio.source()) {
                            case DEFAULT -> RATIO_DOUBT;
                            case COACH -> COACHS_RATIO_DOUBT;
                        });
            }
        }
        if (!unknowns.knows(new Unknown.Steepness(kin.curveOf(lift)))) {
            beginCurve(unknowns, lift);
        }
    }

    private void beginCurve(Gaussian unknowns, Lift owner) {
        StartingCurve curve = kin.startingCurve(owner);
        boolean learnt = !without.contains(Ingredient.OWN_CURVE);
        unknowns.add(new Unknown.Steepness(owner), curve.steepness(), learnt ? curve.steepnessDoubt() : HARDLY);
        unknowns.add(new Unknown.Bend(owner), curve.bend(), learnt ? curve.bendDoubt() : HARDLY);
    }

    private void add(Gaussian unknowns, Unknown unknown, double at, double doubt, Ingredient part) {
        boolean out = without.contains(part);
        unknowns.add(unknown, out ? 0 : at, out ? HARDLY : doubt);
    }

    /** What is believed on a later day, when nothing was lifted in between. */
    LifterBelief until(LifterBelief before, LocalDate day) {
        long days = ChronoUnit.DAYS.between(before.date(), day);
        if (days <= 0) {
            return before;
        }
        Gaussian unknowns = before.unknowns();
        Map<Lift, LifterBelief.Trained> trained = before.trained();
        formFades(unknowns, days);
        unknowns.widen(
                Unknown.OfLifter.BIAS, Unknown.OfLifter.BIAS, BIAS_WANDERS_A_WEEK * BIAS_WANDERS_A_WEEK * days / 7);
        for (Lift root : trained.keySet()) {
            LifterBelief.Trained then = trained.get(root);
            LifterBelief.Trained now = then.until(before.date(), day);
            Unknown max = new Unknown.Max(root);
            unknowns.addTo(max, Unknown.OfLifter.GAIN, then.keptUp(before.date(), day) / 7.0);
            if (!without.contains(Ingredient.ABSENCE)) {
                double lost = now.lost() - then.lost();
                unknowns.shift(max, -lost);
                unknowns.widen(max, max, LOSS_DOUBT * LOSS_DOUBT * lost * lost);
            }
            double wanders = wanders(then);
            for (Lift other : trained.keySet()) {
                double share = other.equals(root) ? 1 : without.contains(Ingredient.TOGETHER) ? 0 : OF_IT_TOGETHER;
                unknowns.widen(max, new Unknown.Max(other), share * wanders * wanders(trained.get(other)) * days);
            }
        }
        unknowns.widenEach(Unknown.Share.class, RATIO_WANDERS_A_DAY * RATIO_WANDERS_A_DAY * days);
        unknowns.widenEach(Unknown.Apart.class, RATIO_WANDERS_A_DAY * RATIO_WANDERS_A_DAY * days);
        trained.replaceAll((root, then) -> then.until(before.date(), day));
        return new LifterBelief(day, unknowns, trained);
    }

    /** The form of a lifter after some days, by chance. */
    double formAfter(double form, long days, RandomGenerator random) {
        if (without.contains(Ingredient.DAY_FORM)) {
            return form;
        }
        double keeps = Math.exp(-days / FORM_DAYS);
        return keeps * form + FORM * Math.sqrt(1 - keeps * keeps) * random.nextGaussian();
    }

    /**
     * How far a standing max wanders in some days, by chance.
     *
     * @param together what all lifts have in common, from the standard normal distribution
     */
    double wandering(LifterBelief.Trained lately, long days, double together, RandomGenerator random) {
        double common = without.contains(Ingredient.TOGETHER) ? 0 : OF_IT_TOGETHER;
        return wanders(lately)
                * Math.sqrt(days)
                * (Math.sqrt(common) * together + Math.sqrt(1 - common) * random.nextGaussian());
    }

    /** How a max grows in a week of training, as far as the log tells. */
    PossibleLifter.Growth growth(Gaussian unknowns) {
        return new PossibleLifter.Growth(
                unknowns.mean(Unknown.OfLifter.GAIN), Math.sqrt(unknowns.variance(Unknown.OfLifter.GAIN)));
    }

    private static double wanders(LifterBelief.Trained lately) {
        return lately.last() == null ? UNSEEN_WANDERS_A_DAY : MAX_WANDERS_A_DAY;
    }

    private void formFades(Gaussian unknowns, long days) {
        if (!without.contains(Ingredient.DAY_FORM)) {
            double keeps = Math.exp(-days / FORM_DAYS);
            unknowns.fade(Unknown.OfLifter.FORM, keeps, FORM * FORM * (1 - keeps * keeps));
        }
    }
}
