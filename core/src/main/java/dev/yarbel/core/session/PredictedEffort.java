package dev.yarbel.core.session;

import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Part;
import java.util.Optional;

/** How hard a set will be by today's estimate and the lifter's rep curve. */
public sealed interface PredictedEffort {

    /** About this rating, from 6 up. */
    record About(Rpe rpe) implements PredictedEffort {
        @Override
        public Optional<Rpe> rating() {
            return Optional.of(rpe);
        }

        @Override
        public boolean isBeyondReach() {
            return false;
        }
    }

    /** More than four repetitions will be left: too light to say more. */
    record Light() implements PredictedEffort {
        @Override
        public Optional<Rpe> rating() {
            return Optional.empty();
        }

        @Override
        public boolean isBeyondReach() {
            return false;
        }
    }

    /** By the estimate the repetitions cannot all be made. */
    record BeyondReach() implements PredictedEffort {
        @Override
        public Optional<Rpe> rating() {
            return Optional.empty();
        }

        @Override
        public boolean isBeyondReach() {
            return true;
        }
    }

    /** About how it will rate; empty where more than four repetitions will be left, and where they cannot all be made. */
    Optional<Rpe> rating();

    /** Whether by the estimate the repetitions cannot all be made. */
    boolean isBeyondReach();

    /** Whether more than four repetitions will be left. */
    default boolean isLight() {
        return rating().isEmpty() && !isBeyondReach();
    }

    /**
     * The effort of the last set of a part at a load on the bar. Empty where nothing is known of the lift, where a rating is asked for
     * anyway, where the sets go to the limit, or where it is not repetitions that count.
     */
    static Optional<PredictedEffort> of(PrescribedSets prescription, Mass load, LiftNumbers numbers) {
        return of(prescription.part(), Demand.of(prescription, numbers), load, numbers);
    }

    /** The same of a part at the start of a session. */
    static Optional<PredictedEffort> of(Part part, Mass load, LiftNumbers numbers) {
        return of(part, Demand.of(part, numbers), load, numbers);
    }

    private static Optional<PredictedEffort> of(Part part, Demand demand, Mass load, LiftNumbers numbers) {
        if (saysNothing(part)) {
            return Optional.empty();
        }
        int done = demand.halvesOf(part);
        return numbers.ownBest(part)
                .map(best -> of(done, load.asShareOf(demand.share()), best, numbers))
                .or(() -> max(numbers).map(max -> of(done, demand.plain(load), max, numbers)));
    }

    /** Whether by the estimate the repetitions of a part cannot all be made at a load on the bar. */
    static boolean isBeyondReach(PrescribedSets prescription, Mass load, LiftNumbers numbers) {
        Part part = prescription.part();
        if (saysNothing(part)) {
            return false;
        }
        Demand demand = Demand.of(prescription, numbers);
        RepsInAll done = new RepsInAll(demand.halvesOf(part));
        Optional<Mass> own = numbers.ownBest(part);
        Optional<Mass> most = own.isPresent() ? own : max(numbers);
        Mass lifted = own.isPresent() ? load.asShareOf(demand.share()) : demand.plain(load);
        return most.filter(max -> lifted.isGreaterThan(max.times(numbers.curve().share(done))))
                .isPresent();
    }

    private static boolean saysNothing(Part part) {
        return !part.work().countsReps()
                || part.basis().rating().isPresent()
                || part.work().isToLimit()
                || part.work().isInAll()
                || part.work().isClimb();
    }

    /** The effort of so many repetitions at a load; empty where nothing is known of the lift. */
    static Optional<PredictedEffort> of(int reps, Mass load, LiftNumbers numbers) {
        return max(numbers).map(max -> of(2 * reps, load, max, numbers));
    }

    private static Optional<Mass> max(LiftNumbers numbers) {
        return numbers.estimate().or(numbers::workingMax);
    }

    private static PredictedEffort of(int done, Mass load, Mass max, LiftNumbers numbers) {
        if (load.isGreaterThan(max.times(numbers.curve().share(new RepsInAll(done))))) {
            return new BeyondReach();
        }
        for (int halves = 0; halves <= Rpe.LOWEST_THAT_ESTIMATES.halvesLeft(); halves++) {
            RepsInAll inAll = new RepsInAll(done + halves + 1);
            if (max.times(numbers.curve().share(inAll)).isLessThan(load)) {
                return new About(Rpe.withHalvesLeft(halves));
            }
        }
        return new Light();
    }
}
