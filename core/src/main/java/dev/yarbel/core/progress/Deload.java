package dev.yarbel.core.progress;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Details;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.prescription.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A week's doses made easy: the ways of taking fatigue off that coaches use (common practice, no source). */
public enum Deload {
    /** The same exercises at about half the load, a repetition or two fewer. */
    HALF_LOAD,
    /** Ten points lighter with half the sets. */
    HALF_SETS,
    /** Days off. */
    OFF;

    private static final Percent HALF = Percent.of(50);
    private static final Percent TEN = Percent.of(10);
    private static final Percent SIXTY = Percent.of(60);
    private static final Percent LIGHTEST = Percent.of(30);
    private static final int HALVES_LEFT_AT_MOST = 18;

    /** The dose of a deload week, from the one of the week before; empty for a day off. */
    public Optional<Dose> of(Dose dose) {
        return switch (this) {
            case OFF -> Optional.empty();
            case HALF_LOAD -> Optional.of(new Dose(List.of(halfLoad(dose.first()))));
            case HALF_SETS -> Optional.of(halfSets(dose));
        };
    }

    private static Part halfLoad(Part part) {
        Work work = part.work();
        Work lighter = work instanceof Work.Straight straight
                ? Work.Straight.of(
                        straight.sets() > 1 ? straight.sets() : 3, Math.max(1, straight.reps() - straight.reps() / 4))
                : easier(work, work.sets());
        LoadBasis basis = part.basis();
        if (basis instanceof LoadBasis.Share share && share.of() != Reference.Named.TOP) {
            return plain(part, lighter)
                    .with(new LoadBasis.Share(share.of(), share.percent().times(HALF)));
        }
        boolean counted = work.countsReps() && !(basis instanceof LoadBasis.ByFeel);
        return plain(part, lighter).with(counted ? LoadBasis.ofWorkingMax(HALF) : LoadBasis.FEEL);
    }

    private static Dose halfSets(Dose dose) {
        if (dose.first().work() instanceof Work.Climb || dose.first().work() instanceof Work.ToLimit) {
            return Dose.of(2, 5, LoadBasis.ofWorkingMax(SIXTY));
        }
        List<Part> parts = new ArrayList<>();
        for (Part part : dose.parts()) {
            parts.add(plain(part, easier(part.work(), (part.sets() + 1) / 2)).with(lighter(part.basis())));
        }
        return new Dose(parts);
    }

    private static LoadBasis lighter(LoadBasis basis) {
        if (basis instanceof LoadBasis.Share share && share.of() != Reference.Named.TOP) {
            Percent percent = share.percent().minus(TEN);
            return new LoadBasis.Share(share.of(), percent.isLessThan(LIGHTEST) ? LIGHTEST : percent);
        }
        if (basis instanceof LoadBasis.AtRpe at) {
            return new LoadBasis.AtRpe(
                    Rpe.withHalvesLeft(Math.min(HALVES_LEFT_AT_MOST, at.least().halvesLeft() + 4)));
        }
        return basis instanceof LoadBasis.LastTime ? LoadBasis.ofWorkingMax(SIXTY) : basis;
    }

    /** Nothing goes to the limit in a deload, and no stage is judged by it. */
    private static Part plain(Part part, Work work) {
        return Part.of(work, part.basis())
                .with(new Details(
                        Set.of(),
                        part.rest(),
                        part.tempo(),
                        part.details().with(),
                        part.details().without(),
                        part.details().cue(),
                        part.details().reason()));
    }

    private static Work easier(Work work, int sets) {
        if (work instanceof Work.Straight straight) {
            return Work.Straight.of(sets, straight.reps());
        }
        if (work instanceof Work.ToLimit || work instanceof Work.Climb) {
            return Work.Straight.of(2, 5);
        }
        if (work instanceof Work.Clusters clusters) {
            return Work.Straight.of(sets, clusters.each() + 1);
        }
        if (work instanceof Work.Density density) {
            return Work.Straight.of(Math.max(1, sets / 2), density.reps());
        }
        if (work instanceof Work.Carry carry) {
            return new Work.Carry(sets, carry.distance(), carry.unit(), Optional.empty());
        }
        if (work instanceof Work.Hold hold) {
            return new Work.Hold(sets, hold.time());
        }
        return work;
    }
}
