package dev.yarbel.core.tally;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.LiftNumbers;
import java.util.Optional;

/**
 * Which work sets are hard: those with four repetitions left or fewer (RPE 6 and up), and those at 80 % of the max or
 * more. The words are ours, a default; common practice draws the line near there, no source.
 */
public final class HardSets {

    private static final Rpe FOUR_LEFT = Rpe.of(6);
    private static final Percent HEAVY = Percent.of(80);

    private HardSets() {}

    /** Whether a set was hard: by its rating, because it was missed, or by its load. */
    public static boolean isHard(LiftedSet set, LiftNumbers numbers) {
        boolean byEffort = set.effort()
                .rating()
                .map(rpe -> rpe.compareTo(FOUR_LEFT) >= 0)
                .orElse(set.effort().isMissed());
        return byEffort || isHeavy(set.load(), numbers);
    }

    /** How much a hard set of a lift weighs, in halves: squats and pulls one and a half, all else one; a default of ours. */
    public static int halves(Lift root) {
        return root.equals(Lift.SQUAT) || root.equals(Lift.DEADLIFT) ? 3 : 2;
    }

    /** Whether a dose's sets will be hard where their load cannot be said. */
    public static boolean isHard(Part dose) {
        return dose.basis()
                        .rating()
                        .filter(rpe -> rpe.compareTo(FOUR_LEFT) >= 0)
                        .isPresent()
                || dose.work().isToLimit()
                || dose.work().isClimb();
    }

    /**
     * Whether a dose's sets will be hard: by the rating it asks for, by its load, or because the rep curve leaves four
     * repetitions or fewer at that load.
     */
    public static boolean isHard(Part dose, Mass load, LiftNumbers numbers) {
        if (dose.basis().rating().isPresent()) {
            return dose.basis().rating().get().compareTo(FOUR_LEFT) >= 0 || isHeavy(load, numbers);
        }
        if (dose.work().isToLimit() || dose.work().isClimb()) {
            return true;
        }
        return isHeavy(load, numbers)
                || max(numbers)
                        .filter(max -> dose.work().countsReps())
                        .filter(max -> !load.isLessThan(numbers.curve().load(max, dose.reps(), FOUR_LEFT)))
                        .isPresent();
    }

    private static boolean isHeavy(Mass load, LiftNumbers numbers) {
        return max(numbers).filter(max -> !load.isLessThan(max.times(HEAVY))).isPresent();
    }

    private static Optional<Mass> max(LiftNumbers numbers) {
        return numbers.estimate().or(numbers::workingMax);
    }
}
