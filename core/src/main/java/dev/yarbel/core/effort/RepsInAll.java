package dev.yarbel.core.effort;

/**
 * The repetitions a load was good for: those done and those left, in halves, since ratings come in halves.
 *
 * <p>One repetition rated 8 is three in all.
 */
public record RepsInAll(int halves) {

    /** Above twelve repetitions in all, a set says too little about a single to estimate it. */
    public static final RepsInAll MOST_THAT_ESTIMATES = new RepsInAll(24);

    public RepsInAll {
        if (halves < 2) {
            throw new IllegalArgumentException("at least one repetition");
        }
    }

    /**
     * The repetitions done and those left by the rating.
     *
     * @throws IllegalArgumentException when none was done
     */
    public static RepsInAll of(int done, Rpe rpe) {
        if (done < 1) {
            throw new IllegalArgumentException("at least one repetition");
        }
        return new RepsInAll(Math.addExact(Math.multiplyExact(done, 2), rpe.halvesLeft()));
    }

    /** Repetitions to the limit. */
    public static RepsInAll toTheLimit(int done) {
        return of(done, Rpe.LIMIT);
    }

    /** Whether so few repetitions say something about a single. */
    public boolean estimates() {
        return halves <= MOST_THAT_ESTIMATES.halves;
    }
}
