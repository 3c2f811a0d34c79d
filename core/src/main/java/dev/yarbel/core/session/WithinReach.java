package dev.yarbel.core.session;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import java.util.Optional;

/** Whether sets that are planned can be done, by a lifter's numbers and rep curve. */
public final class WithinReach {

    /** Sets of two repetitions and more are planned with a little left (common practice, no source). */
    private static final Rpe HARDEST = Rpe.parse("9.5");

    private WithinReach() {}

    /**
     * Whether a part's sets can be done: singles at all, sets of more with at least a little left. True too where nothing
     * is known of the lift, and for what the curve says nothing of: partial lifts, assisted and slow ones.
     */
    public static boolean of(Part part, LiftNumbers numbers) {
        return of(part, numbers, HARDEST);
    }

    /** The same beside sets that were asked for already: no harder than those is within reach too. */
    public static boolean of(Part part, LiftNumbers numbers, Part asked) {
        Optional<PredictedEffort> before = effort(asked, numbers);
        Rpe hardest = before.filter(PredictedEffort.About.class::isInstance)
                .map(effort -> ((PredictedEffort.About) effort).rpe())
                .filter(rpe -> rpe.compareTo(HARDEST) > 0)
                .orElse(HARDEST);
        return of(part, numbers, hardest);
    }

    private static boolean of(Part part, LiftNumbers numbers, Rpe hardest) {
        return effort(part, numbers)
                .filter(effort -> effort.isBeyondReach()
                        || part.reps() > 1
                                && effort.rating()
                                        .filter(rpe -> rpe.compareTo(hardest) > 0)
                                        .isPresent())
                .isEmpty();
    }

    private static Optional<PredictedEffort> effort(Part part, LiftNumbers numbers) {
        boolean ofItsOwn = part.is(SetModifier.PARTIAL)
                || part.is(SetModifier.LOWERING)
                || part.is(SetModifier.ASSISTED)
                || part.changing().isPresent();
        return ofItsOwn
                ? Optional.empty()
                : load(part, numbers).flatMap(load -> PredictedEffort.of(part, load, numbers));
    }

    /** The load a part asks for, where that is a share of the lift's own numbers or a load as such. */
    public static Optional<Mass> load(Part part, LiftNumbers numbers) {
        return part.basis()
                .share()
                .map(share -> numbers.of(share.of()).map(whole -> whole.times(share.most())))
                .orElse(part.basis().written());
    }
}
