package dev.yarbel.core.shape;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.session.LiftNumbers;
import java.util.Optional;

/**
 * A share of what a part asks for; empty where nobody can say what that is.
 *
 * @param numbers what its load hangs on
 * @param share of the load, above 0 and up to 100 %
 */
public record ShareOfTheLoad(Part part, LiftNumbers numbers, Percent share)
        implements LoadBasis.Visitor<Optional<LoadBasis>> {

    private static final Percent HALF = Percent.of(50);

    /** Half of it. */
    static ShareOfTheLoad half(Part part, LiftNumbers numbers) {
        return new ShareOfTheLoad(part, numbers, HALF);
    }

    @Override
    public Optional<LoadBasis> atRpe(LoadBasis.AtRpe at) {
        Optional<Mass> max = numbers.estimate().or(numbers::workingMax);
        if (max.isEmpty() || part.changing().isPresent()) {
            return Optional.empty();
        }
        Mass load = numbers.curve().load(max.get(), part.reps(), at.least()).times(share);
        Reference of = numbers.workingMax().isPresent() ? Reference.Named.WORKING : Reference.Named.ESTIMATE;
        Percent ofMax = load.percentOf(numbers.workingMax().orElse(max.get()));
        return Optional.of(new LoadBasis.Share(of, Percent.of(Deload.halves(ofMax.figure()))));
    }

    @Override
    public Optional<LoadBasis> share(LoadBasis.Share asked) {
        return asked.isOwnBody()
                ? Optional.empty()
                : Optional.of(new LoadBasis.Share(
                        asked.of(), asked.percent().times(share), asked.most().times(share)));
    }

    @Override
    public Optional<LoadBasis> belowTop(LoadBasis.BelowTop below) {
        return Optional.of(below);
    }

    @Override
    public Optional<LoadBasis> fixed(LoadBasis.Fixed fixed) {
        return Optional.of(new LoadBasis.Fixed(Deload.halves(fixed.load().times(share), fixed.unit()), fixed.unit()));
    }

    @Override
    public Optional<LoadBasis> bodyMassPlus(LoadBasis.BodyMassPlus plus) {
        return Optional.empty();
    }

    @Override
    public Optional<LoadBasis> lastTime(LoadBasis.LastTime last) {
        return Optional.of(new LoadBasis.Share(Reference.Named.LAST, share));
    }

    @Override
    public Optional<LoadBasis> atSpeed(LoadBasis.AtSpeed at) {
        return Optional.empty();
    }

    @Override
    public Optional<LoadBasis> byFeel(LoadBasis.ByFeel byFeel) {
        return Optional.empty();
    }
}
