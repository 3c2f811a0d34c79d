package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;

/**
 * A set that would tell most about a max for what it asks of the lifter.
 *
 * @param load what it takes for the rating by today's estimate; not yet what can be loaded
 * @param rpe how hard it would be
 * @param low the low end of the range that would hold the max four times of five afterwards, were it rated as expected
 * @param high the high end of it
 */
public record SettlingSet(Lift lift, Mass load, int reps, Rpe rpe, Mass low, Mass high) {}
