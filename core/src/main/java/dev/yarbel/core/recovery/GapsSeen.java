package dev.yarbel.core.recovery;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.MaxEstimate.Contribution;
import dev.yarbel.core.estimate.MaxEstimate.Movement;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.recovery.Recovers.Factor;
import dev.yarbel.core.recovery.Recovers.Why;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.tally.HardSets;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a log says of how long a lift needs: what its sessions showed after gaps shorter than what is thought to be needed, beside those after longer ones. A
 * session shows by its rated and missed sets what max they speak for, beside what the estimate expected of the day. The difference of two means with one standard
 * error (Welch 1947, Biometrika 34); from where on it says something is ours. Nothing is changed by it: it proposes.
 *
 * @param root of the family
 * @param needed hours after a hard day, as things are set
 * @param afterShort and afterLong what the sessions showed; gaps of more than ten days say nothing of recovery and are left out
 */
public record GapsSeen(Lift root, int needed, Shown afterShort, Shown afterLong) {

    private static final int FEWEST = 4;
    private static final int HOURS = 24;
    private static final int LONGEST = 10 * HOURS;
    /** Between whose ends the normal distribution has 80 %. */
    private static final double EIGHTY = 1.2816;
    /** A percent of the max is what a session can be told apart by. */
    private static final double TELLING = 1;

    private static final Percent LONGER = Percent.of(115);
    private static final Percent SHORTER = Percent.of(85);
    private static final int STEP = 6;
    private static final Rpe EIGHT = Rpe.of(8);

    /**
     * What sessions showed.
     *
     * @param sessions how many
     * @param mean beside what was expected, in percent of the max
     * @param deviation one standard deviation of one of them
     */
    public record Shown(int sessions, double mean, double deviation) {

        private static Shown of(List<Double> shown) {
            double mean = shown.stream().mapToDouble(each -> each).average().orElse(0);
            double squares = shown.stream()
                    .mapToDouble(each -> (each - mean) * (each - mean))
                    .sum();
            return new Shown(shown.size(), mean, shown.size() < 2 ? 0 : Math.sqrt(squares / (shown.size() - 1)));
        }

        private double error() {
            return sessions == 0 ? 0 : deviation * deviation / sessions;
        }
    }

    /** What it comes to. */
    public enum Says {
        /** Fewer than four sessions on one side: its means say nothing. */
        TOO_FEW,
        /** After short gaps it is weaker by a percent and more, surely enough. */
        LONGER,
        /** After short gaps it is as strong as after long ones, surely enough. */
        SHORTER,
        /** Nothing that could be told from chance. */
        NOTHING
    }

    /** What the estimate of a lift that stands for its family says of it; empty where no session followed another. */
    public static Optional<GapsSeen> of(Lift root, MaxEstimate estimate, RecoveryKnown known) {
        int hard = known.hours(root, root);
        List<Double> afterShort = new ArrayList<>();
        List<Double> afterLong = new ArrayList<>();
        LocalDate before = null;
        DayStrain left = DayStrain.LIGHT;
        for (Movement session : estimate.movements()) {
            if (session.contributions().isEmpty()) {
                continue;
            }
            if (before != null) {
                long between = HOURS * ChronoUnit.DAYS.between(before, session.date());
                int needed = Recovers.hours(hard, List.of(new Factor(Why.STRAIN, left.share())));
                Optional<Double> shown = shown(session);
                if (left.isHard() && between <= Math.max(LONGEST, needed) && shown.isPresent()) {
                    (between < needed ? afterShort : afterLong).add(shown.get());
                }
            }
            before = session.date();
            left = strain(session);
        }
        return afterShort.isEmpty() && afterLong.isEmpty()
                ? Optional.empty()
                : Optional.of(new GapsSeen(root, hard, Shown.of(afterShort), Shown.of(afterLong)));
    }

    /** What a session's sets speak for, beside what was expected, in percent; those that only say "at least" say nothing. */
    private static Optional<Double> shown(Movement session) {
        double weights = 0;
        double sum = 0;
        for (Contribution set : session.contributions()) {
            if (!set.isLeast()) {
                double weight = set.weight().figure().doubleValue();
                weights += weight;
                sum += weight * (ratio(set.max(), session.before()) - 1);
            }
        }
        return weights == 0 ? Optional.empty() : Optional.of(100 * sum / weights);
    }

    private static double ratio(Mass one, Mass other) {
        return one.percentOf(other).figure().doubleValue() / 100;
    }

    /** As {@link DayStrain} has it, by what was lifted; each set's load is held against the max that it speaks for. */
    private static DayStrain strain(Movement session) {
        Optional<Percent> heaviest = Optional.empty();
        boolean nearLimit = false;
        int hard = 0;
        for (Contribution set : session.contributions()) {
            Percent share = set.set().load().percentOf(set.max());
            heaviest = heaviest.filter(other -> !other.isLessThan(share)).or(() -> Optional.of(share));
            nearLimit |= set.set().effort().isMissed()
                    || set.set()
                            .rating()
                            .filter(rpe -> rpe.compareTo(EIGHT) >= 0)
                            .isPresent();
            hard += HardSets.isHard(set.set(), LiftNumbers.NONE.withWorkingMax(set.max())) ? 1 : 0;
        }
        return DayStrain.of(heaviest, nearLimit, hard);
    }

    /** How much less, or more, is there after short gaps, in percent of the max. */
    public double apart() {
        return afterShort.mean - afterLong.mean;
    }

    /** How far it may be from it, four times of five. */
    public double doubt() {
        return EIGHTY * Math.sqrt(afterShort.error() + afterLong.error());
    }

    /** What it comes to. */
    public Says says() {
        if (afterShort.sessions < FEWEST || afterLong.sessions < FEWEST) {
            return Says.TOO_FEW;
        }
        if (apart() <= -TELLING && apart() + doubt() < 0) {
            return Says.LONGER;
        }
        return apart() - doubt() > -TELLING ? Says.SHORTER : Says.NOTHING;
    }

    /** The hours it proposes; empty where it proposes none. */
    public Optional<Integer> proposed() {
        return switch (says()) {
            case LONGER -> Optional.of(changed(LONGER));
            case SHORTER -> Optional.of(changed(SHORTER));
            default -> Optional.empty();
        };
    }

    private int changed(Percent share) {
        int hours = Recovers.hours(needed, List.of(new Factor(Why.STRAIN, share)));
        int stepped = Math.round(hours / (float) STEP) * STEP;
        return Math.max(RecoveryFigures.LEAST, Math.min(RecoveryFigures.MOST, stepped));
    }
}
