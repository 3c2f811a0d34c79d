package dev.yarbel.core.recovery;

/**
 * One sign of fatigue: a figure beside the limit from which on it speaks. One alone is noise. The limits are starting values of
 * ours where no source is named.
 *
 * @param now the figure, in the unit of its kind; never below nothing
 * @param limit from where on it speaks
 */
public record FatigueSignal(Kind kind, double now, double limit) {

    /** What a sign comes from: signs of one source bear one another out, and count once. */
    public enum Source {
        LIFTED,
        BAR,
        BODY,
        MIND,
        LOAD,
        MISSES,
        TIME
    }

    /** What it is. */
    public enum Kind {
        /** By how many percent of the max the estimates lag behind what could be expected, in the mean of the lifts. */
        STAGNATION(Source.LIFTED, 2.5),
        /** By how many points the same load is rated harder than weeks before. */
        RATED_HARDER(Source.LIFTED, 1),
        /** By how many percent the same load moves slower than weeks before. */
        SLOWER(Source.BAR, 5),
        /** By how much soreness and joints are worse than the lifter's own usual, on Hooper's scale. */
        BODY(Source.BODY, 1),
        /** By how much sleep, fatigue and stress are worse than the lifter's own usual, on Hooper's scale. */
        MIND(Source.MIND, 1),
        /** The week's strain in percent of the mean of the weeks before. */
        STRAIN(Source.LOAD, 150),
        /** In how many sessions of the last two weeks repetitions were missed for want of strength. */
        MISSES(Source.MISSES, 2),
        /** Weeks since the last deload; the limit is the lifter's own. */
        DUE(Source.TIME, 6);

        private final Source source;
        private final double limit;

        Kind(Source source, double limit) {
            this.source = source;
            this.limit = limit;
        }

        public Source source() {
            return source;
        }
    }

    static FatigueSignal of(Kind kind, double now) {
        return new FatigueSignal(kind, Math.max(0, now), kind.limit);
    }

    /** Whether it says that the lifter is tired. */
    public boolean speaks() {
        return now >= limit;
    }

    /** How far it has come, 0 to 100 % of twice its limit, for whoever draws it. */
    public int share() {
        return (int) Math.round(Math.min(100, 50 * now / limit));
    }
}
