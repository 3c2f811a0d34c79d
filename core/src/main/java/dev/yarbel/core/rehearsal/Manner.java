package dev.yarbel.core.rehearsal;

/**
 * How a block is rehearsed.
 *
 * @param calls whether loads go after what was lifted: where sets of a lift were missed, or its loads and the estimate stand 2.5 % apart, what hangs
 *     on its max goes toward the estimate by 2.5 % a session at most; else loads stay as they are planned, and only the laws of runs move them
 * @param byFeel how far a lifter who was asked for a rating goes from the planned load toward what the day feels like, 0 to 1
 * @param times how often it is lifted, 1 or more
 * @param seed the same seed is the same rehearsal
 */
public record Manner(boolean calls, double byFeel, int times, long seed) {

    private static final double HALF_OF_THE_WAY = 0.5;
    private static final int TIMES = 200;
    private static final long SEED = 1;

    /** As it is shown; starting values of ours. */
    public static final Manner USUAL = new Manner(false, HALF_OF_THE_WAY, TIMES, SEED);

    /** The same with a coach who takes what the log says into the loads. */
    public Manner withCalls() {
        return new Manner(true, byFeel, times, seed);
    }
}
