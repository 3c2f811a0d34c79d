package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;

/**
 * The law of steady add: the same sets and repetitions, a step more each session. Missed repetitions: the same again;
 * missed again: 10 % off and build up anew; after two such resets another start or another school. Ten repetitions or
 * more in a plus set of five may earn a double step (common practice, no source; the number of resets is ours).
 *
 * @param missesInARow sessions in a row with repetitions missed
 * @param resets how often load was taken off since the run began
 */
public record SteadyAdd(int missesInARow, int resets) {

    public static final SteadyAdd START = new SteadyAdd(0, 0);
    public static final Percent OFF = Percent.of(10);
    public static final int REPS_FOR_A_DOUBLE_STEP = 10;
    private static final int MOST_RESETS = 2;

    /** What follows from a session. */
    public enum Answer {
        ADD,
        ADD_DOUBLE,
        REPEAT,
        RESET,
        /** A fresh run from the start, or another school. */
        WALL
    }

    /** An answer, the load of the next session, and where the run stands then. */
    public record Next(Answer answer, Mass load, SteadyAdd state) {}

    /**
     * What follows a session at a load.
     *
     * @param missed whether repetitions that were asked for were missed
     * @param plusReps the repetitions of the plus set; 0 where there was none
     */
    public Next after(Mass load, Mass step, boolean missed, int plusReps) {
        if (!missed) {
            boolean doubled = plusReps >= REPS_FOR_A_DOUBLE_STEP;
            return new Next(
                    doubled ? Answer.ADD_DOUBLE : Answer.ADD,
                    load.plus(step.times(doubled ? 2 : 1)),
                    new SteadyAdd(0, resets));
        }
        if (missesInARow == 0) {
            return new Next(Answer.REPEAT, load, new SteadyAdd(1, resets));
        }
        Mass less = load.times(Percent.HUNDRED.minus(OFF));
        return resets < MOST_RESETS
                ? new Next(Answer.RESET, less, new SteadyAdd(0, resets + 1))
                : new Next(Answer.WALL, less, START);
    }
}
