package dev.yarbel.lab.lifter;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.LiftedSession;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/**
 * What became of a lifter: the log, and what nobody in life would know.
 *
 * @param first the first day
 * @param tested a max of each lift tested on the day before, in kg, within a few percent of the truth
 * @param sessions what was written down, slips and all, in order
 * @param weeks the truth on the last day of each week
 * @param habits the truth that does not change, of each lift
 */
public record Life(
        LocalDate first,
        Map<Lift, Double> tested,
        List<LiftedSession> sessions,
        List<Week> weeks,
        Map<Lift, Habit> habits) {

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
     * @param standing the true max of each lift without the day's form and fatigue, in kg
     * @param away the lifter did not train at all
     */
    public record Week(LocalDate last, Map<Lift, Double> standing, boolean away) {}
}
