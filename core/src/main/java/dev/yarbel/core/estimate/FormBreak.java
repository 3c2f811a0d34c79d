package dev.yarbel.core.estimate;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * The share of the max at which a lifter's repetitions of a lift stop being clean, from sets that somebody looked at: probit regression with a fixed slope (Bliss
 * 1934, <i>The method of probits</i>, Science 79), its threshold by Bayes on a grid. Before anything was seen it is believed to lie about 95 %, one standard deviation of ten points; a set goes
 * from mostly clean to mostly broken within some twelve points of load. Both are starting values of ours.
 *
 * @param share the median of what is believed
 * @param low of the range that holds it four times of five
 * @param high of it
 * @param looked sets that somebody looked at
 * @param broken those in which something broke
 */
public record FormBreak(Percent share, Percent low, Percent high, int looked, int broken) {

    private static final NormalDistribution BEFORE = new NormalDistribution(95, 10);
    private static final NormalDistribution SLOPE = new NormalDistribution(0, 6);
    private static final double FROM = 40;
    private static final double TO = 130;
    private static final double STEP = 0.25;
    private static final double TENTH = 0.1;
    private static final Percent BELOW = Percent.of(10);
    private static final Percent WELL_BELOW = Percent.of(5);

    /** A set that somebody looked at. */
    private record Looked(double share, boolean broken) {}

    /** Where to work. */
    public record Zone(Percent from, Percent to) {}

    /**
     * What sets that somebody looked at tell; empty where nobody did. A max is that of its own day.
     *
     * @param log finished sessions
     */
    public static Optional<FormBreak> of(Lift lift, List<LiftedSession> log, MaxEstimate estimate) {
        List<Looked> looked = new ArrayList<>();
        for (LiftedSession session : log) {
            double max = StrengthFilter.kg(estimate.lastMovement(session.date())
                    .map(MaxEstimate.Movement::after)
                    .orElse(estimate.max()));
            for (LiftedSet set : session.sets()) {
                if (set.lift().equals(lift) && set.load().isPositive()) {
                    broken(set)
                            .ifPresent(broken ->
                                    looked.add(new Looked(100 * StrengthFilter.kg(set.load()) / max, broken)));
                }
            }
        }
        return looked.isEmpty() ? Optional.empty() : Optional.of(believed(looked));
    }

    /** Whether anything broke, as a coach saw it, or else the lifter; empty where nobody looked. */
    private static Optional<Boolean> broken(LiftedSet set) {
        CoachSeen seen = set.details().coach();
        return seen.reps()
                .map(reps -> !reps.areClean())
                .or(() -> seen.form().map(form -> form == CoachSeen.Form.BROKEN))
                .or(() -> set.details().reps().map(reps -> !reps.areClean()));
    }

    private static FormBreak believed(List<Looked> looked) {
        int points = (int) ((TO - FROM) / STEP) + 1;
        double[] likely = new double[points];
        double all = 0;
        for (int i = 0; i < points; i++) {
            double threshold = FROM + i * STEP;
            double log = BEFORE.logDensity(threshold);
            for (Looked set : looked) {
                double over = set.share - threshold;
                log += Math.log(Math.max(1e-12, SLOPE.cumulativeProbability(set.broken ? over : -over)));
            }
            likely[i] = Math.exp(log);
            all += likely[i];
        }
        return new FormBreak(
                quantile(likely, all, 0.5),
                quantile(likely, all, TENTH),
                quantile(likely, all, 1 - TENTH),
                looked.size(),
                (int) looked.stream().filter(Looked::broken).count());
    }

    private static Percent quantile(double[] likely, double all, double share) {
        double sum = 0;
        int at = 0;
        while (at < likely.length - 1 && sum + likely[at] < share * all) {
            sum += likely[at++];
        }
        return Percent.of(BigDecimal.valueOf(FROM + at * STEP).setScale(1, RoundingMode.HALF_UP));
    }

    /** Where somebody of this mastery works: a beginner below it, one further on just under it, the advanced up to it (common practice, no source; the points are ours). */
    public Zone zone(Mastery mastery) {
        return switch (mastery) {
            case BEGINNER -> new Zone(share.minus(WELL_BELOW).minus(BELOW), share.minus(WELL_BELOW));
            case INTERMEDIATE -> new Zone(share.minus(BELOW), share);
            case ADVANCED -> new Zone(share.minus(WELL_BELOW), share);
        };
    }
}
