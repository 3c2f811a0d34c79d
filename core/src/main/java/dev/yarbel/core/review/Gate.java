package dev.yarbel.core.review;

import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * Schemes that hurt people who are not ready for them, and what is asked before one is planned: a level, a history and a
 * named spotter (common practice, no source). A coach may plan one all the same, in their own name.
 */
public enum Gate {
    /** Bands that hang from above and let go of the load on the way up. */
    REVERSE_BANDS,
    /** More than the max, lowered, with a spotter who carries the difference on the way up. */
    OVERLOADED_LOWERING,
    /** A pull to the limit of repetitions, where the back gives before the legs do. */
    LIMIT_PULLS;

    /** What can be missing. */
    public enum Missing {
        /** Mastery of the lift: advanced for overloaded lowering, intermediate for the others. */
        LEVEL,
        /** Assisted repetitions done before. */
        ASSISTED_REPS,
        /** Slow heavy lowering under the max done before. */
        SLOW_LOWERING,
        /** One set, once: never several. */
        ONE_SET,
        /** Somebody named who stands by. */
        SPOTTER
    }

    /**
     * What is known of a lifter in one lift.
     *
     * @param mastery as the coach decided
     * @param assisted assisted repetitions are in the log
     * @param slowLowering slow heavy lowering is in the log
     */
    public record Known(Optional<Mastery> mastery, boolean assisted, boolean slowLowering) {}

    private static final Percent WHOLE = Percent.HUNDRED;
    private static final Percent NEAR_THE_LIMIT = Percent.of(85);

    /**
     * The gates a dose stands behind.
     *
     * @param max the lifter's estimate, by which a load in figures is known to be beyond it; empty where nobody knows
     */
    public static Set<Gate> before(Lift root, Dose dose, Optional<Mass> max) {
        Set<Gate> gates = EnumSet.noneOf(Gate.class);
        for (Part part : dose.parts()) {
            if (part.changing()
                    .filter(c -> c.kind() == AccommodatingResistance.Kind.REVERSE)
                    .isPresent()) {
                gates.add(REVERSE_BANDS);
            }
            if (isOverloadedLowering(part, max)) {
                gates.add(OVERLOADED_LOWERING);
            }
            if (root.equals(Lift.DEADLIFT) && endsAtTheLimit(part, max)) {
                gates.add(LIMIT_PULLS);
            }
        }
        return gates;
    }

    private static boolean isOverloadedLowering(Part part, Optional<Mass> max) {
        return part.is(SetModifier.LOWERING)
                && share(part, max).filter(share -> share.isGreaterThan(WHOLE)).isPresent();
    }

    /**
     * Whether sets go on to the limit; a plus set where it is asked for at 85 % and more, or at 9 and harder (a starting value
     * of ours).
     */
    private static boolean endsAtTheLimit(Part part, Optional<Mass> max) {
        boolean goesOn = part.work()
                .stop()
                .filter(stop ->
                        stop.rating().filter(rpe -> rpe.halvesLeft() >= 4).isEmpty())
                .isPresent();
        boolean hard =
                part.basis().rating().filter(rpe -> rpe.halvesLeft() <= 2).isPresent();
        return goesOn
                && (part.work().isToLimit()
                        || hard
                        || share(part, max)
                                .filter(share -> !share.isLessThan(NEAR_THE_LIMIT))
                                .isPresent());
    }

    /** The share of the max that a part asks for: as it is written, or a load in figures beside the estimate. */
    private static Optional<Percent> share(Part part, Optional<Mass> max) {
        return part.basis()
                .share()
                .filter(share -> share.of().isMax())
                .map(LoadBasis.Share::most)
                .or(() -> part.basis().written().flatMap(load -> max.map(load::percentOf)));
    }

    /** What is missing before it may be planned; a named spotter is always asked for. */
    public Set<Missing> missing(Dose dose, Known known) {
        Set<Missing> missing = EnumSet.of(Missing.SPOTTER);
        Mastery needed = this == OVERLOADED_LOWERING ? Mastery.ADVANCED : Mastery.INTERMEDIATE;
        if (known.mastery().filter(level -> level.compareTo(needed) >= 0).isEmpty()) {
            missing.add(Missing.LEVEL);
        }
        if (this == OVERLOADED_LOWERING) {
            if (!known.assisted()) {
                missing.add(Missing.ASSISTED_REPS);
            }
            if (!known.slowLowering()) {
                missing.add(Missing.SLOW_LOWERING);
            }
            if (dose.parts().stream().anyMatch(part -> part.is(SetModifier.LOWERING) && part.sets() > 1)) {
                missing.add(Missing.ONE_SET);
            }
        }
        return missing;
    }
}
