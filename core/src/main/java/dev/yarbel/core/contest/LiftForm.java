package dev.yarbel.core.contest;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.special.Erf;

/**
 * What may be there in one lift on the day: how likely each max is, before and after attempts at it.
 *
 * <p>Whether an attempt is made hangs on how far the load lies below the max, give or take (a probit; McCullagh 1980, J R Stat Soc B 42): the
 * give or take, one standard deviation of 1.2 %, is what two attempts a few minutes apart differ by. Four attempts of a hundred are
 * turned down whatever is there. What a made one leaves is read off it: up to 2.5 % below the max nothing, up to 6 % one repetition, further below more,
 * and read to about 3 %, which is a repetition or a little less. All of these are starting values of ours; how surely it is read was
 * chosen on simulated lifters.
 */
public final class LiftForm {

    /** How often an attempt that goes up is turned down. */
    static final double TURNED_DOWN = 0.04;

    static final double GIVE_OR_TAKE = 0.012;
    private static final double READ_TO = 0.03;
    private static final double NOTHING_LEFT = 0.025;
    private static final double ONE_LEFT = 0.06;

    private static final int POINTS = 121;
    private static final double SPREADS = 5;
    private static final double TENTH = 0.1;
    private static final double ROOT_TWO = Math.sqrt(2);
    private static final int DIGITS = 3;

    private final double[] logs;
    private final double[] weights;

    private LiftForm(double[] logs, double[] weights) {
        this.logs = logs;
        this.weights = weights;
    }

    /**
     * The logarithm of the max in kg is normally distributed.
     *
     * @param spread its standard deviation, positive
     */
    static LiftForm of(double mean, double spread) {
        double[] logs = new double[POINTS];
        double[] weights = new double[POINTS];
        for (int i = 0; i < POINTS; i++) {
            double z = SPREADS * (2.0 * i / (POINTS - 1) - 1);
            logs[i] = mean + z * spread;
            weights[i] = Math.exp(-z * z / 2);
        }
        return new LiftForm(logs, ofOne(weights));
    }

    private static double[] ofOne(double[] weights) {
        double all = 0;
        for (double weight : weights) {
            all += weight;
        }
        double[] shares = new double[POINTS];
        for (int i = 0; i < POINTS; i++) {
            shares[i] = weights[i] / all;
        }
        return shares;
    }

    /** How likely an attempt has an outcome, from 0 to 1. */
    public double chance(Mass load, Outcome outcome) {
        return chance(likelihoods(load, outcome));
    }

    /** How likely an outcome is with each max that may be there: the same for every form of one origin. */
    double[] likelihoods(Mass load, Outcome outcome) {
        double log = Math.log(load.kilograms());
        return Arrays.stream(logs).map(max -> likelihood(max - log, outcome)).toArray();
    }

    /** How likely something is that is so likely with each max. */
    double chance(double[] likelihoods) {
        double chance = 0;
        for (int i = 0; i < POINTS; i++) {
            chance += weights[i] * likelihoods[i];
        }
        return chance;
    }

    /** What is to be thought after something that was so likely with each max; nothing new where it could not be. */
    LiftForm after(double[] likelihoods) {
        double[] then = new double[POINTS];
        double all = 0;
        for (int i = 0; i < POINTS; i++) {
            then[i] = weights[i] * likelihoods[i];
            all += then[i];
        }
        return all > 0 ? new LiftForm(logs, ofOne(then)) : this;
    }

    /** How likely an attempt is made, from 0 to 1. */
    public double made(Mass load) {
        return chance(load, Outcome.MADE);
    }

    /**
     * What is to be thought after an attempt. One that was turned down says nothing of strength but that it was there; one missed by
     * something else says nothing.
     */
    public LiftForm after(Attempt attempt) {
        return attempt.tellsOfStrength() ? after(likelihoods(attempt.load(), attempt.outcome())) : this;
    }

    /** What is to be thought after attempts. */
    public LiftForm after(List<Attempt> attempts) {
        LiftForm form = this;
        for (Attempt attempt : attempts) {
            form = form.after(attempt);
        }
        return form;
    }

    /** @param margin of the max over the load, in logarithms */
    static double likelihood(double margin, Outcome outcome) {
        double up = above(margin);
        return switch (outcome) {
            case MISSED -> 1 - up;
            case TURNED_DOWN -> TURNED_DOWN * up;
            case MADE -> (1 - TURNED_DOWN) * up;
            case GRIND -> (1 - TURNED_DOWN) * up * (1 - reads(margin - NOTHING_LEFT));
            case SOLID -> (1 - TURNED_DOWN) * up * (reads(margin - NOTHING_LEFT) - reads(margin - ONE_LEFT));
            case EASY -> (1 - TURNED_DOWN) * up * reads(margin - ONE_LEFT);
        };
    }

    private static double reads(double margin) {
        return Erf.erfc(-margin / READ_TO / ROOT_TWO) / 2;
    }

    private static double above(double margin) {
        return Erf.erfc(-margin / GIVE_OR_TAKE / ROOT_TWO) / 2;
    }

    double mean() {
        double mean = 0;
        for (int i = 0; i < POINTS; i++) {
            mean += weights[i] * logs[i];
        }
        return mean;
    }

    double variance() {
        double mean = mean();
        double variance = 0;
        for (int i = 0; i < POINTS; i++) {
            variance += weights[i] * (logs[i] - mean) * (logs[i] - mean);
        }
        return variance;
    }

    /** The max that is as likely surpassed as not. */
    public Mass middle() {
        return quantile(0.5);
    }

    /** The low end of the range that holds the max four times of five. */
    public Mass low() {
        return quantile(TENTH);
    }

    /** The high end of it. */
    public Mass high() {
        return quantile(1 - TENTH);
    }

    private Mass quantile(double share) {
        double below = 0;
        int at = 0;
        while (at < POINTS - 1 && below + weights[at] < share) {
            below += weights[at];
            at++;
        }
        // the weight of a point lies half to each side of it
        double step = logs[1] - logs[0];
        double log = logs[at] + step * ((share - below) / weights[at] - 0.5);
        return Mass.of(BigDecimal.valueOf(Math.exp(log)).setScale(DIGITS, RoundingMode.HALF_UP), MassUnit.KG);
    }
}
