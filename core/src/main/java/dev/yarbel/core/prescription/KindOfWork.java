package dev.yarbel.core.prescription;

import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.lift.Tempo;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * What two doses of a lift have in common when the one may be compared with the other, or its load follow from it: sets
 * built in the same way for as many repetitions, meant in the same manner, at the same beat, with the same on the bar. How
 * many sets there are is left out, and so is whether the last goes on.
 *
 * @param reps of a set, of clusters of a small set; 0 for set-drop stages, whose repetitions change as they go
 */
public record KindOfWork(
        Built built,
        int reps,
        Set<SetModifier> manners,
        Optional<Tempo> tempo,
        Optional<AccommodatingResistance> changing) {

    /** How sets are built. */
    public enum Built {
        STRAIGHT,
        RANGE,
        STAGES,
        TO_LIMIT,
        CLIMB,
        CLUSTERS,
        DENSITY,
        /** What is not counted in repetitions. */
        OTHER
    }

    /** Manners that leave the work what it is: what the lifter sees, and who picks. */
    private static final Set<SetModifier> NO_MATTER = EnumSet.of(
            SetModifier.BLIND,
            SetModifier.CHOICE,
            SetModifier.STAGES,
            SetModifier.APART,
            SetModifier.CHOICE_OF_STRENGTH,
            SetModifier.CHOICE_OF_WEAKNESS,
            SetModifier.FREE_REST);

    public KindOfWork {
        manners = Set.copyOf(manners);
    }

    /** Straight sets with nothing else said. */
    public static KindOfWork straight(int reps) {
        return new KindOfWork(Built.STRAIGHT, reps, Set.of(), Optional.empty(), Optional.empty());
    }

    public static KindOfWork of(Part part) {
        EnumSet<SetModifier> manners = EnumSet.noneOf(SetModifier.class);
        manners.addAll(part.details().manners());
        manners.removeAll(NO_MATTER);
        Built built = built(part);
        int reps = built == Built.STAGES
                ? 0
                : part.work().clusters().map(Work.Clusters::each).orElse(part.reps());
        return new KindOfWork(
                built, reps, manners, part.tempo(), part.changing().map(AccommodatingResistance::setUp));
    }

    /** Whether a set of it is a plain one of its load and repetitions. */
    public boolean isPlain() {
        return manners.isEmpty() && tempo.isEmpty() && changing.isEmpty();
    }

    /** Whether both are alike but for their repetitions. */
    public boolean isLike(KindOfWork other) {
        return built == other.built
                && manners.equals(other.manners)
                && tempo.equals(other.tempo)
                && changing.equals(other.changing);
    }

    private static Built built(Part part) {
        return part.is(SetModifier.STAGES) ? Built.STAGES : part.work().accept(new BuiltOf());
    }

    private static final class BuiltOf implements Work.Visitor<Built> {

        @Override
        public Built straight(Work.Straight straight) {
            return straight.isRange() ? Built.RANGE : Built.STRAIGHT;
        }

        @Override
        public Built toLimit(Work.ToLimit toLimit) {
            return Built.TO_LIMIT;
        }

        @Override
        public Built climb(Work.Climb climb) {
            return Built.CLIMB;
        }

        @Override
        public Built clusters(Work.Clusters clusters) {
            return Built.CLUSTERS;
        }

        @Override
        public Built density(Work.Density density) {
            return Built.DENSITY;
        }

        @Override
        public Built until(Work.Until until) {
            return Built.OTHER;
        }

        @Override
        public Built inAll(Work.InAll inAll) {
            return Built.OTHER;
        }

        @Override
        public Built repsInTime(Work.RepsInTime repsInTime) {
            return Built.OTHER;
        }

        @Override
        public Built hold(Work.Hold hold) {
            return Built.OTHER;
        }

        @Override
        public Built carry(Work.Carry carry) {
            return Built.OTHER;
        }

        @Override
        public Built rounds(Work.Rounds rounds) {
            return Built.OTHER;
        }

        @Override
        public Built preparation(Work.Preparation preparation) {
            return Built.OTHER;
        }
    }
}
