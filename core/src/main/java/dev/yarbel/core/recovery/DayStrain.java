package dev.yarbel.core.recovery;

import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.tally.WorkLine;
import java.util.Collection;
import java.util.Optional;

/**
 * What a day of a lift is for the days after it (common practice, no source; the words are ours): maximal with a set of 90 % and more,
 * hard with a top of 85 % or a rating of 8 and at least three hard sets, medium with hard sets but less than that, else light.
 */
public enum DayStrain {
    LIGHT(35),
    MEDIUM(70),
    HARD(100),
    MAXIMAL(130);

    private static final Percent VERY_HEAVY = Percent.of(90);
    private static final Percent HEAVY = Percent.of(85);
    private static final int HARD_SETS = 3;

    private final Percent share;

    DayStrain(long percent) {
        this.share = Percent.of(percent);
    }

    /** How long it needs, as a share of what a hard day does. */
    public Percent share() {
        return share;
    }

    /** Whether it is one to be fresh for. */
    public boolean isHard() {
        return compareTo(HARD) >= 0;
    }

    /** The strain of one family's work on one day, planned or lifted. */
    public static DayStrain of(Collection<WorkLine> work) {
        return of(
                work.stream().flatMap(line -> line.share().stream()).max(Percent::compareTo),
                work.stream().anyMatch(WorkLine::nearLimit),
                work.stream().mapToInt(WorkLine::hardSets).sum());
    }

    /**
     * The same by what tells it.
     *
     * @param heaviest the largest share of the max
     * @param nearLimit a set rates 8 or more
     * @param hardSets how many are hard
     */
    static DayStrain of(Optional<Percent> heaviest, boolean nearLimit, int hardSets) {
        if (isFrom(heaviest, VERY_HEAVY)) {
            return MAXIMAL;
        }
        if ((isFrom(heaviest, HEAVY) || nearLimit) && hardSets >= HARD_SETS) {
            return HARD;
        }
        return hardSets > 0 ? MEDIUM : LIGHT;
    }

    private static boolean isFrom(Optional<Percent> heaviest, Percent share) {
        return heaviest.filter(of -> !of.isLessThan(share)).isPresent();
    }
}
