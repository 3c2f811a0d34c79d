package dev.yarbel.core.shape;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.prescription.Work;
import java.util.EnumSet;
import java.util.Set;

/**
 * A dose as it can be done for weeks on end with no contest in sight: no more than 85 % of the max, nothing rated harder than that comes to, nothing to the
 * limit, and what went on from the last time stays where it is. The figures are ours; that strength is held at sustainable loads, with
 * no endless peaking, is common practice, no source.
 */
final class Held implements LoadBasis.Visitor<LoadBasis> {

    private static final Percent MOST = Percent.of(85);
    private static final Rpe HARDEST = Rpe.of(8);
    private static final int ENOUGH = 3;
    private static final int LEAST = 5;

    private static final Set<Reference.Named> OF_A_MAX = EnumSet.of(
            Reference.Named.WORKING,
            Reference.Named.CONTEST,
            Reference.Named.ESTIMATE,
            Reference.Named.GOAL,
            Reference.Named.EVENT);

    private final Rpe hardest;

    private Held(Rpe hardest) {
        this.hardest = hardest;
    }

    static Dose of(Dose dose) {
        return new Dose(dose.parts().stream().map(Held::of).toList());
    }

    private static Part of(Part part) {
        return part.with(work(part.work())).with(part.basis().accept(new Held(hardest(part.reps()))));
    }

    /** About as much as 85 %: a single that rates 6, two that rate 7, three that rate 8. */
    private static Rpe hardest(int reps) {
        return reps >= ENOUGH ? HARDEST : Rpe.of(LEAST + reps);
    }

    private static Work work(Work work) {
        if (work.isToLimit()) {
            return new Work.ToLimit(work.sets(), new Work.Stop.At(stop(work)));
        }
        if (work.climbsTo().isPresent()) {
            return new Work.Climb(work.reps(), least(work.climbsTo().get(), hardest(work.reps())));
        }
        if (work.repeatsUntil().isPresent()) {
            return new Work.Until(work.reps(), least(work.repeatsUntil().get(), hardest(work.reps())));
        }
        return work.straight()
                .filter(straight -> straight.plus().isPresent())
                .<Work>map(straight -> Work.Straight.of(straight.sets(), straight.reps()))
                .orElse(work);
    }

    private static Rpe stop(Work work) {
        return work.stop()
                .flatMap(Work.Stop::rating)
                .map(rpe -> least(rpe, HARDEST))
                .orElse(HARDEST);
    }

    private static Rpe least(Rpe rpe, Rpe most) {
        return rpe.compareTo(most) > 0 ? most : rpe;
    }

    private static Percent least(Percent percent) {
        return percent.isGreaterThan(MOST) ? MOST : percent;
    }

    @Override
    public LoadBasis atRpe(LoadBasis.AtRpe at) {
        return new LoadBasis.AtRpe(least(at.least(), hardest), least(at.rpe(), hardest));
    }

    @Override
    public LoadBasis share(LoadBasis.Share share) {
        return share.of() instanceof Reference.Named named && OF_A_MAX.contains(named)
                ? new LoadBasis.Share(named, least(share.percent()), least(share.most()))
                : share;
    }

    @Override
    public LoadBasis belowTop(LoadBasis.BelowTop below) {
        return below;
    }

    @Override
    public LoadBasis fixed(LoadBasis.Fixed fixed) {
        return fixed;
    }

    @Override
    public LoadBasis bodyMassPlus(LoadBasis.BodyMassPlus plus) {
        return plus;
    }

    @Override
    public LoadBasis lastTime(LoadBasis.LastTime last) {
        return new LoadBasis.LastTime(Mass.ZERO, last.unit());
    }

    @Override
    public LoadBasis atSpeed(LoadBasis.AtSpeed at) {
        return at;
    }

    @Override
    public LoadBasis byFeel(LoadBasis.ByFeel byFeel) {
        return byFeel;
    }
}
