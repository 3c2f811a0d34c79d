package dev.yarbel.core.session;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Where to start with a lift that nothing is known of: from a lift of the same family that is, by the ratios of both to what
 * they vary, a tenth lighter, since a ratio says little of somebody new to the movement. A proposal to begin light, never a
 * figure to plan by. The tenth is a starting value of ours.
 *
 * @param from the lift it was taken from
 * @param load what the gym makes of it
 */
public record KinStart(Lift from, Mass load) {

    private static final Percent CAREFUL = Percent.of(90);
    private static final Rpe EASY = Rpe.of(7);
    private static final Set<ResolvedLoad.Why> UNKNOWN =
            Set.of(ResolvedLoad.Why.NO_ESTIMATE, ResolvedLoad.Why.NO_WORKING_MAX, ResolvedLoad.Why.NO_LAST_TIME);

    /** A start for a part of a day whose load cannot be said; empty where it can, or where no kin is known. */
    public static Optional<KinStart> of(PrescribedSets asked, ResolvedLoad found, Resolver resolver) {
        if (found.missing().filter(UNKNOWN::contains).isEmpty()) {
            return Optional.empty();
        }
        Catalogue catalogue = resolver.catalogue();
        Lift root = catalogue.root(asked.lift());
        return catalogue.all().stream()
                .map(Variation::lift)
                .filter(lift ->
                        !lift.equals(asked.lift()) && catalogue.root(lift).equals(root))
                .flatMap(kin -> max(asked.lift(), kin, resolver).stream().map(max -> new KinStart(kin, max)))
                .min(Comparator.comparing(KinStart::load))
                .flatMap(kin -> load(asked, kin.load, resolver).map(load -> new KinStart(kin.from, load)));
    }

    /** What a lift's max may be by a kin lift's own. */
    private static Optional<Mass> max(Lift lift, Lift kin, Resolver resolver) {
        LiftNumbers known = resolver.numbers(kin);
        return known.estimate()
                .filter(estimate -> known.estimateThrough().isEmpty())
                .map(estimate -> estimate.times(ofRoot(lift, resolver.catalogue()))
                        .times(Percent.ofShare(BigDecimal.valueOf(100)
                                .divide(ofRoot(kin, resolver.catalogue()).figure(), 6, RoundingMode.HALF_UP)))
                        .times(CAREFUL));
    }

    private static Percent ofRoot(Lift lift, Catalogue catalogue) {
        Optional<Ratio> parent = catalogue.of(lift).parent();
        return parent.map(ratio -> ratio.share().times(ofRoot(ratio.to(), catalogue)))
                .orElse(Percent.HUNDRED);
    }

    private static Optional<Mass> load(PrescribedSets asked, Mass max, Resolver resolver) {
        Resolver supposing = resolver.with(
                asked.lift(), known -> new LiftNumbers(Optional.of(max), Optional.of(max), known.curve()));
        Part easy = asked.part().with(new LoadBasis.AtRpe(EASY));
        return supposing
                .resolve(List.of(asked))
                .get(0)
                .load()
                .or(() -> asked.part().work().countsReps()
                        ? supposing
                                .resolve(List.of(
                                        new PrescribedSets(asked.letter(), asked.lift(), new Dose(List.of(easy)))))
                                .get(0)
                                .load()
                        : Optional.empty());
    }
}
