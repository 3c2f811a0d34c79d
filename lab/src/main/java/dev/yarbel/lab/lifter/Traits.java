package dev.yarbel.lab.lifter;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;

/**
 * What one lifter is like. All figures are drawn, and invented.
 *
 * @param lifts what they are like in each lift
 * @param dayForm the standard deviation of a day's form, as a share of the max
 * @param fatigue how much less a lifter can do on the day at the usual load of training, as a share of the max
 * @param noise the spread of a rating with nothing left, in repetitions; it grows by a quarter of each repetition left
 * @param missesSession how often a planned session does not take place
 * @param slips how often a set is written down wrong: in the other unit, or a repetition or two off
 * @param fallsIll how often a week begins with an illness that nobody writes down
 */
record Traits(
        Map<Lift, InLift> lifts,
        double dayForm,
        double fatigue,
        double noise,
        double missesSession,
        double slips,
        double fallsIll) {

    /**
     * What a lifter is like in one lift.
     *
     * @param max the true max on the first day, in kg
     * @param gain what steady training adds to it in the end, as a share
     * @param bias what they say is left beyond what is left, in repetitions; above nothing who rates too easy
     * @param flatters how much more is lifted in sets of several repetitions, as a share: a pull borrows from the stretch
     */
    record InLift(double max, double gain, RepFamily curve, double steepness, double bias, double flatters) {

        Life.Habit habit() {
            return new Life.Habit(bias, curve, steepness);
        }
    }

    private static final double MORE_THAN_FOUR = 4.25;
    private static final Map<Lift, Double> OF_THE_SQUAT =
            Map.of(Lift.SQUAT, 1.0, Lift.BENCH_PRESS, 0.68, Lift.DEADLIFT, 1.18);

    static Traits draw(RandomGenerator random) {
        double squat = 130 * Math.exp(0.3 * random.nextGaussian());
        double gain = 0.12 * random.nextDouble();
        double steepness = Math.exp(0.15 * random.nextGaussian());
        double bias = 0.7 * random.nextGaussian();
        Map<Lift, InLift> lifts = new LinkedHashMap<>();
        for (Lift lift : List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT)) {
            lifts.put(
                    lift,
                    new InLift(
                            squat * OF_THE_SQUAT.get(lift) * Math.exp(0.1 * random.nextGaussian()),
                            gain * (0.7 + 0.6 * random.nextDouble()),
                            RepFamily.values()[random.nextInt(RepFamily.values().length)],
                            steepness * Math.exp(0.12 * random.nextGaussian()),
                            bias + 0.4 * random.nextGaussian(),
                            lift.equals(Lift.DEADLIFT) ? 0.04 * random.nextDouble() : 0));
        }
        return new Traits(
                lifts,
                0.012 + 0.018 * random.nextDouble(),
                0.005 + 0.025 * random.nextDouble(),
                0.3 + 0.4 * random.nextDouble(),
                0.03 + 0.1 * random.nextDouble(),
                0.01,
                0.02);
    }

    /** A rating in halves of what is felt to be left, with a tail heavier than the bell's: of four degrees of freedom. */
    Effort said(double felt, RandomGenerator random) {
        double spread = noise + 0.25 * Math.max(0, felt);
        double chi = 0;
        for (int i = 0; i < 4; i++) {
            double each = random.nextGaussian();
            chi += each * each;
        }
        double says = felt + spread * random.nextGaussian() / Math.sqrt(chi / 4);
        if (says > MORE_THAN_FOUR) {
            return new Effort.MoreThanFourLeft();
        }
        int halves = (int) Math.max(0, Math.round(2 * says));
        return new Effort.Rated(Rpe.withHalvesLeft(halves));
    }
}
