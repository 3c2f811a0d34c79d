package dev.yarbel.lab.lifter;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.record.LiftedSession;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;

/**
 * What became of a lifter: the log, and what nobody in life would know.
 *
 * @param first the first day
 * @param tested a max of each lift tested on the day before, in kg, within a few percent of the truth
 * @param sessions what was written down, slips and all, in order
 * @param weeks the truth on the last day of each week
 * @param habits the truth that does not change, of each lift
 * @param speeds the same of how fast each lift moves; empty where no speed was measured
 */
public record Life(
        LocalDate first,
        Map<Lift, Double> tested,
        List<LiftedSession> sessions,
        List<Week> weeks,
        Map<Lift, Habit> habits,
        Map<Lift, Speed> speeds) {

    /**
     * @param bias what is said to be left beyond what is left, in repetitions
     * @param steepness how much faster than usual load falls with repetitions; 1 is usual
     */
    public record Habit(double bias, RepFamily curve, double steepness) {

        /** The share of the max that is good for a number of repetitions to the limit. */
        public double share(int reps) {
            return curve.share(reps, steepness);
        }
    }

    /**
     * How fast a lift moves: along a straight line over the share of what could be lifted for as many repetitions, down to the limit's speed. All
     * figures are drawn, and invented.
     *
     * @param atLimit metres a second with nothing left
     * @param unloaded metres a second with next to nothing on the bar
     * @param noise the standard deviation of a reading, in metres a second
     */
    public record Speed(double atLimit, double unloaded, double noise) {

        static Speed draw(RandomGenerator random) {
            return new Speed(
                    0.14 + 0.16 * random.nextDouble(),
                    1.1 + 0.5 * random.nextDouble(),
                    0.012 + 0.012 * random.nextDouble());
        }

        /**
         * The true speed of the last repetition of a set.
         *
         * @param left repetitions, also between whole ones
         */
        public double of(int done, double left, Habit habit) {
            double share = habit.curve().share(done + left, habit.steepness()) / habit.share(done);
            return atLimit + (unloaded - atLimit) * (1 - share);
        }

        /** The same as a sensor reads it, of a set of a load as a share of the day's max. */
        BarSpeed measured(double load, int done, Traits.InLift of, RandomGenerator random) {
            double share = load / of.habit().share(done);
            double speed = atLimit + (unloaded - atLimit) * (1 - share) + noise * random.nextGaussian();
            return new BarSpeed((int) Math.round(1000 * Math.max(0.05, speed)));
        }
    }

    /**
     * @param standing the true max of each lift without the day's form and fatigue, in kg
     * @param away the lifter did not train at all
     */
    public record Week(LocalDate last, Map<Lift, Double> standing, boolean away) {}
}
