package dev.yarbel.lab.lifter;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.recovery.Wellbeing;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;

/**
 * A lifter who becomes what they are made to do, so that one plan can be held against another. What each set gives depends on how
 * many repetitions were left: most with two, little with none and with six. What it takes does too, and adds to a fatigue that fades within
 * two weeks; what of it goes beyond what the lifter can bear takes from every lift until it is rested off: over-reaching. Some weeks
 * life takes as well. All figures are invented; the shapes follow {@link SimulatedLifter}. The same seed is the same lifter, and with the
 * same plan lives the same life.
 */
public final class TrainedLifter {

    private static final double FAST_FADES = Math.exp(-1 / 9.0);
    private static final double DEEP_FADES = Math.exp(-1 / 14.0);
    private static final double FORM_STAYS = 0.7;
    /** So many impulses a day in steady training. */
    private static final double USUAL = 2.0 / 7;

    private static final double TIRED_BY_A_SET = 0.004;
    /** What a set at the limit adds to the deep fatigue; the usual week of 24 sets with two to three left keeps it near 1. */
    private static final double DEEP = 1 / 22.6;

    private static final double TAKES = 0.15;
    private static final double GIVES = 0.006;
    private static final double TEST_OFF = 0.02;
    private static final double STRESSED = 0.06;
    private static final int STRESSED_FOR = 14;
    private static final double STRESS = 2;
    private static final double BEST_LEFT = 2;
    private static final double WIDE = 2.5;
    private static final double OF_A_MISS = 1.2;

    private final Random random;
    private final Traits traits;
    private final double bears;
    private final Map<Lift, Strength> strengths = new LinkedHashMap<>();
    private double form;
    private double deep = 0.9;
    private int days;
    private int daysStressed;

    private TrainedLifter(long seed) {
        this.random = new Random(seed);
        this.traits = Traits.draw(random);
        this.bears = 1.15 + 0.45 * random.nextDouble();
        traits.lifts().forEach((lift, of) -> strengths.put(lift, new Strength(of)));
    }

    public static TrainedLifter of(long seed) {
        return new TrainedLifter(seed);
    }

    private static final class Strength {

        private final Traits.InLift of;
        private double trained;
        private double fast = 1;
        private int setsToday;

        private Strength(Traits.InLift of) {
            this.of = of;
        }

        double standing() {
            return of.max() * (1 + of.gain() * trained);
        }
    }

    /**
     * What came of a set.
     *
     * @param reps made
     * @param left really left; below nothing for what was missed
     * @param said by the lifter
     */
    public record Done(int reps, double left, Effort said) {}

    /** A max tested before the first day, as near as tests are. */
    public double tested(Lift lift) {
        return strengths.get(lift).standing() * (1 + TEST_OFF * random.nextGaussian());
    }

    /** The true standing max, without the day's form and any fatigue, in kg. */
    public double standing(Lift lift) {
        return strengths.get(lift).standing();
    }

    /** What over-reaching takes from every lift, as a share. */
    public double overreached() {
        return Math.max(0, deep - bears) * TAKES;
    }

    /** The next day begins. */
    public void day() {
        if (days++ % 7 == 0 && random.nextDouble() < STRESSED) {
            daysStressed = STRESSED_FOR;
        }
        daysStressed = Math.max(0, daysStressed - 1);
        form = FORM_STAYS * form + traits.dayForm() * Math.sqrt(1 - FORM_STAYS * FORM_STAYS) * random.nextGaussian();
        deep *= DEEP_FADES;
        strengths.values().forEach(strength -> {
            strength.fast *= FAST_FADES;
            strength.setsToday = 0;
        });
    }

    /** Whether they come to a planned session. */
    public boolean comes() {
        return random.nextDouble() > traits.missesSession();
    }

    /** What a lift has on the day, with the form and the fatigue of it, in kg. */
    public double today(Lift lift) {
        Strength strength = strengths.get(lift);
        return strength.standing()
                * (1 - traits.fatigue() * strength.fast)
                * (1 - overreached())
                * (1 + form)
                * (1 - TIRED_BY_A_SET * strength.setsToday);
    }

    /** Does a set. */
    public Done lift(Lift lift, double load, int asked) {
        Strength strength = strengths.get(lift);
        Traits.InLift of = strength.of;
        double today = today(lift) * (asked > 1 ? 1 + of.flatters() : 1);
        double can = of.curve().repsAt(load / today, of.steepness());
        int made = (int) Math.min(asked, Math.floor(can));
        double left = can - asked;
        boolean missed = made < asked;
        strength.setsToday++;
        deep += DEEP * (daysStressed > 0 ? STRESS : 1) * (missed ? OF_A_MISS : Math.exp(-0.3 * left));
        double gives = Math.exp(-Math.pow((left - BEST_LEFT) / WIDE, 2)) * Math.max(0, 1 - 10 * overreached());
        strength.trained += (1 - strength.trained) * GIVES * gives;
        return new Done(made, left, missed ? new Effort.Missed() : traits.said(left + of.bias(), random));
    }

    /** The session's work in a lift is over. */
    public void over(Lift lift) {
        strengths.get(lift).fast += (1 - FAST_FADES) / USUAL;
    }

    /** The load that feels as if it left so many: chosen with the same sense, as unsure and as leaning, that sets are rated with. */
    public double byFeel(Lift lift, int reps, int left) {
        Traits.InLift of = strengths.get(lift).of;
        double today = today(lift) * (reps > 1 ? 1 + of.flatters() : 1);
        double off = (traits.noise() + 0.25 * left) * random.nextGaussian();
        return today * of.curve().share(Math.max(1, reps + left - of.bias() + off), of.steepness());
    }

    /** How they say they are before a session. */
    public Wellbeing wellbeing() {
        double worse = 40 * overreached();
        double life = daysStressed > 0 ? 1 : 0;
        return new Wellbeing(rated(worse + life), rated(worse), rated(worse + life), rated(worse), rated(worse / 2));
    }

    private int rated(double worse) {
        return (int) Math.max(1, Math.min(7, Math.round(2.5 + worse + 0.7 * random.nextGaussian())));
    }

    /** How hard a session as a whole was for them, 0 to 10. */
    public int effort(double meanLeft) {
        double felt = 7 - 0.5 * meanLeft + 50 * overreached() + 0.7 * random.nextGaussian();
        return (int) Math.max(1, Math.min(10, Math.round(felt)));
    }
}
