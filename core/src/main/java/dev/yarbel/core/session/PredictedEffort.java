package dev.yarbel.core.session;

import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Work;
import java.util.Optional;

/** How hard a set will be by today's estimate and the lifter's rep curve. */
public sealed interface PredictedEffort {

    /** About this rating, from 6 up. */
    record About(Rpe rpe) implements PredictedEffort {}

    /** More than four repetitions will be left: too light to say more. */
    record Light() implements PredictedEffort {}

    /** By the estimate the repetitions cannot all be made. */
    record BeyondReach() implements PredictedEffort {}

    /**
     * The effort of each set of a part at a load. Empty where nothing is known of the lift, where a rating is asked for
     * anyway, where the sets go to the limit, or where it is not repetitions that count.
     */
    static Optional<PredictedEffort> of(Part part, Mass load, LiftNumbers numbers) {
        if (!part.work().countsReps()
                || part.basis() instanceof LoadBasis.AtRpe
                || part.work() instanceof Work.ToLimit
                || part.work() instanceof Work.Climb
                || part.changing().isPresent()) {
            return Optional.empty();
        }
        int reps = part.work() instanceof Work.Clusters clusters ? clusters.each() : part.reps();
        return numbers.estimate().or(numbers::workingMax).map(max -> of(reps, load, max, numbers));
    }

    /** The effort of so many repetitions at a load; empty where nothing is known of the lift. */
    static Optional<PredictedEffort> of(int reps, Mass load, LiftNumbers numbers) {
        return numbers.estimate().or(numbers::workingMax).map(max -> of(reps, load, max, numbers));
    }

    private static PredictedEffort of(int reps, Mass load, Mass max, LiftNumbers numbers) {
        if (load.isGreaterThan(numbers.curve().load(max, reps, Rpe.LIMIT))) {
            return new BeyondReach();
        }
        for (int halves = 0; halves <= Rpe.LOWEST_THAT_ESTIMATES.halvesLeft(); halves++) {
            RepsInAll inAll = new RepsInAll(2 * reps + halves + 1);
            if (max.times(numbers.curve().share(inAll)).isLessThan(load)) {
                return new About(Rpe.withHalvesLeft(halves));
            }
        }
        return new Light();
    }
}
