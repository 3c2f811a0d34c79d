package dev.yarbel.core.tally;

import dev.yarbel.core.measure.Percent;
import java.util.ArrayList;
import java.util.List;

/**
 * Repetitions per lift and session in the classic zones of load, after Prilepin's table (Soviet weightlifting, widely
 * reprinted). A second opinion: it was drawn from weightlifters, and for the lifts themselves.
 */
public final class Prilepin {

    /**
     * A zone of load.
     *
     * @param from the share of the max it begins at
     * @param leastPerSet repetitions of a set
     * @param least repetitions in all
     * @param best repetitions in all
     * @param most repetitions in all
     */
    public enum Zone {
        UNDER_70(0, 3, 6, 18, 24, 30),
        FROM_70(70, 3, 6, 12, 18, 24),
        FROM_80(80, 2, 4, 10, 15, 20),
        FROM_90(90, 1, 2, 4, 7, 10);

        private final Percent from;
        private final int leastPerSet;
        private final int mostPerSet;
        private final int least;
        private final int best;
        private final int most;

        Zone(long from, int leastPerSet, int mostPerSet, int least, int best, int most) {
            this.from = Percent.of(from);
            this.leastPerSet = leastPerSet;
            this.mostPerSet = mostPerSet;
            this.least = least;
            this.best = best;
            this.most = most;
        }

        /** The zone a share of the max lies in. */
        public static Zone of(Percent share) {
            Zone found = UNDER_70;
            for (Zone zone : values()) {
                if (!share.isLessThan(zone.from)) {
                    found = zone;
                }
            }
            return found;
        }

        public int leastPerSet() {
            return leastPerSet;
        }

        public int mostPerSet() {
            return mostPerSet;
        }

        public int least() {
            return least;
        }

        public int best() {
            return best;
        }

        public int most() {
            return most;
        }
    }

    /** How a session compares. */
    public enum Verdict {
        FEW,
        WITHIN,
        MANY
    }

    /** The repetitions of one lift in one zone on one day. */
    public record Opinion(Zone zone, int reps, Verdict verdict) {}

    private Prilepin() {}

    /** What the table says of the sets of one lift on one day; zones in which nothing is done are left out. */
    public static List<Opinion> of(List<WorkLine> lines) {
        List<Opinion> opinions = new ArrayList<>();
        for (Zone zone : Zone.values()) {
            int reps = lines.stream()
                    .filter(line ->
                            line.share().filter(share -> Zone.of(share) == zone).isPresent())
                    .mapToInt(WorkLine::allReps)
                    .sum();
            if (reps > 0) {
                Verdict verdict =
                        reps < zone.least() ? Verdict.FEW : reps > zone.most() ? Verdict.MANY : Verdict.WITHIN;
                opinions.add(new Opinion(zone, reps, verdict));
            }
        }
        return opinions;
    }
}
