package dev.yarbel.core.estimate;

import dev.yarbel.core.lift.Lift;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What is believed of a lifter on a day: a distribution of what is unknown, and what they trained lately. It never changes;
 * {@link StrengthFilter} makes the next one.
 */
public final class LifterBelief {

    private final LocalDate date;
    private final Gaussian unknowns;
    private final Map<Lift, Trained> trained;

    /**
     * How a family of lifts was trained lately.
     *
     * @param tired 1 at the usual pace of two sessions a week, 0 rested
     * @param lost the share of the standing max that staying away took
     * @param last when it was trained last; null before the first session
     */
    record Trained(double tired, double lost, LocalDate last) {

        private static final double SESSION_TIRES = 0.44;
        private static final double TIREDNESS_DAYS = 8;
        private static final double MOST_LOST = 0.05;
        private static final double LOSING_DAYS = 35;
        private static final int KEPT_DAYS = 7;
        private static final double REGAINING_DAYS = 14;

        /** Nothing is known of it; whoever sets a max down has trained for it. */
        static final Trained AT_THE_USUAL_PACE = new Trained(1, 0, null);

        /** The same on a later day, when it was not trained in between. */
        Trained until(LocalDate from, LocalDate day) {
            long days = ChronoUnit.DAYS.between(from, day);
            long idle = Math.min(days, daysAway(day));
            double regained = lost * Math.exp(-(days - idle) / REGAINING_DAYS);
            double lostNow = MOST_LOST - (MOST_LOST - regained) * Math.exp(-idle / LOSING_DAYS);
            return new Trained(tired * Math.exp(-days / TIREDNESS_DAYS), lostNow, last);
        }

        /** Days on which strength was lost for want of training. */
        private long daysAway(LocalDate day) {
            return last == null ? 0 : Math.max(0, ChronoUnit.DAYS.between(last, day) - KEPT_DAYS);
        }

        /** How many of the days up to one it was kept up. */
        long keptUp(LocalDate from, LocalDate day) {
            long days = ChronoUnit.DAYS.between(from, day);
            return last == null ? 0 : days - Math.min(days, daysAway(day));
        }

        Trained in(LocalDate session) {
            return in(session, 1);
        }

        /** @param share how tiring the session was beside a usual one */
        Trained in(LocalDate session, double share) {
            return new Trained(tired + share * SESSION_TIRES, lost, session);
        }
    }

    LifterBelief(LocalDate date, Gaussian unknowns, Map<Lift, Trained> trained) {
        this.date = date;
        this.unknowns = unknowns;
        this.trained = trained;
    }

    /** What {@link #kept} wrote, by the same {@link StrengthFilter#VERSION}. */
    public static LifterBelief parse(String kept) {
        return BeliefCode.read(kept);
    }

    /** As it is kept. */
    public String kept() {
        return BeliefCode.write(this);
    }

    /** The day it holds for. */
    public LocalDate date() {
        return date;
    }

    /** A copy that may be changed. */
    Gaussian unknowns() {
        return unknowns.copy();
    }

    /** A copy that may be changed: by the root of each family of lifts. */
    Map<Lift, Trained> trained() {
        return new LinkedHashMap<>(trained);
    }

    boolean knows(Lift root) {
        return trained.containsKey(root);
    }

    /** How tired training left a family of lifts: 1 at the usual pace. */
    double tired(Lift root) {
        return trained.get(root).tired();
    }
}
