package dev.yarbel.core.session;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.progress.ExpectedGain;
import dev.yarbel.core.record.LiftedSet;
import java.util.Optional;

/**
 * What loads of one lift can hang on today.
 *
 * @param workingMaxThrough the ratio by which the working max was taken from the parent lift's; empty for one of its own
 * @param estimateThrough the same for the estimate
 * @param references what else percentages can hang on
 * @param gain how fast the max may be expected to grow
 * @param figures what makes a load heavier than it is, for this lifter
 * @param leaning half repetitions that the lifter says are left beyond what is left; below nothing they hide some. Nothing where it is
 *     not known
 */
public record LiftNumbers(
        Optional<Mass> workingMax,
        Optional<Mass> estimate,
        RepCurve curve,
        Optional<Ratio> workingMaxThrough,
        Optional<Ratio> estimateThrough,
        References references,
        ExpectedGain gain,
        Demand.Figures figures,
        int leaning) {

    /** Nothing is known. */
    public static final LiftNumbers NONE = new LiftNumbers(Optional.empty(), Optional.empty(), RepCurve.DEFAULT);

    /** A lift's own numbers. */
    public LiftNumbers(Optional<Mass> workingMax, Optional<Mass> estimate, RepCurve curve) {
        this(
                workingMax,
                estimate,
                curve,
                Optional.empty(),
                Optional.empty(),
                References.NONE,
                ExpectedGain.UNKNOWN,
                Demand.Figures.START,
                0);
    }

    /** The same with what else percentages can hang on. */
    public LiftNumbers with(References others) {
        return new LiftNumbers(
                workingMax, estimate, curve, workingMaxThrough, estimateThrough, others, gain, figures, leaning);
    }

    /** The same with how fast the max may be expected to grow. */
    public LiftNumbers with(ExpectedGain expected) {
        return new LiftNumbers(
                workingMax,
                estimate,
                curve,
                workingMaxThrough,
                estimateThrough,
                references,
                expected,
                figures,
                leaning);
    }

    /** The same with what makes a load heavier for this lifter. */
    public LiftNumbers with(Demand.Figures others) {
        return new LiftNumbers(
                workingMax, estimate, curve, workingMaxThrough, estimateThrough, references, gain, others, leaning);
    }

    /** The same as it may be expected in so many weeks; the working max, which only a decision moves, stays. */
    public LiftNumbers in(int weeks) {
        return new LiftNumbers(
                workingMax,
                estimate.or(() -> workingMax).map(max -> gain.after(max, weeks)),
                curve,
                workingMaxThrough,
                estimateThrough,
                references,
                gain,
                figures,
                leaning);
    }

    /** The same with how the lifter's ratings lean, in half repetitions. */
    public LiftNumbers leaning(int halves) {
        return new LiftNumbers(
                workingMax, estimate, curve, workingMaxThrough, estimateThrough, references, gain, figures, halves);
    }

    /**
     * A set as its rating is meant by somebody whose ratings lean. Repetitions that are hidden keep a load where it is and never put
     * anything on; a 10 and a miss stand as they were said.
     *
     * @param asked the rating that was asked for
     */
    public LiftedSet heard(LiftedSet set, Rpe asked) {
        return set.effort()
                .rating()
                .filter(said -> leaning != 0 && !said.equals(Rpe.LIMIT))
                .map(said -> {
                    int meant = said.halvesLeft() - leaning;
                    int most = leaning < 0 ? Math.max(said.halvesLeft(), asked.halvesLeft()) : said.halvesLeft();
                    Rpe rating = Rpe.withHalvesLeft(Math.max(0, Math.min(most, meant)));
                    return new LiftedSet(set.lift(), set.load(), set.reps(), Effort.rated(rating), set.details());
                })
                .orElse(set);
    }

    /** What a share is of, where that is a number of this lift; empty where it is not known, or another's. */
    public Optional<Mass> of(Reference reference) {
        return reference.accept(new Whole());
    }

    private final class Whole implements Reference.Visitor<Optional<Mass>> {

        @Override
        public Optional<Mass> named(Reference.Named named) {
            return switch (named) {
                case WORKING -> workingMax;
                case ESTIMATE -> estimate;
                case CONTEST -> references.contest();
                case GOAL -> references.goal();
                case EVENT -> references.event();
                case TOP, BODY_MASS, LAST -> Optional.empty();
            };
        }

        @Override
        public Optional<Mass> repMax(Reference.RepMax repMax) {
            return LiftNumbers.this.repMax(repMax.reps());
        }

        @Override
        public Optional<Mass> other(Reference.Other other) {
            return Optional.empty();
        }
    }

    /** The load that can be lifted so many times: as it was lifted, else by the estimate and the curve. */
    public Optional<Mass> repMax(int reps) {
        return Optional.ofNullable(references.repMaxes().get(reps))
                .or(() -> estimate.map(max -> curve.load(max, reps, Rpe.LIMIT)));
    }

    /** What is on the bar for the best single with the chains or bands of a part; empty where it has none, or was never done. */
    public Optional<Mass> ownBest(Part part) {
        return part.changing().map(AccommodatingResistance::setUp).map(references.ownBests()::get);
    }

    /** The same with another working max of its own. */
    public LiftNumbers withWorkingMax(Mass max) {
        return new LiftNumbers(
                Optional.of(max),
                estimate,
                curve,
                Optional.empty(),
                estimateThrough,
                references,
                gain,
                figures,
                leaning);
    }

    /**
     * These numbers, and where one is missing, the parent's by the ratio. An estimate of the lift's own says more than a
     * default ratio: a working max that is missing then stands to it as the parent's stands to the parent's estimate. A lift
     * without a curve of its own has the parent's.
     */
    LiftNumbers orFrom(LiftNumbers parent, Ratio ratio) {
        boolean guess = estimate.isEmpty() && parent.estimate.isPresent();
        boolean own = estimate.isPresent() && ratio.source() == Ratio.Source.DEFAULT;
        boolean max = workingMax.isEmpty() && parent.workingMax.isPresent() && !own;
        Optional<Mass> byOwn = workingMax.isEmpty() && own
                ? estimate.map(known -> parent.workingMax
                        .filter(working -> parent.estimate.isPresent())
                        .map(working -> working.percentOf(parent.estimate.orElseThrow()))
                        .filter(share -> !share.isGreaterThan(Percent.HUNDRED))
                        .map(known::times)
                        .orElse(known))
                : workingMax;
        return new LiftNumbers(
                max ? parent.workingMax.map(m -> m.times(ratio.share())) : byOwn,
                guess ? parent.estimate.map(m -> m.times(ratio.share())) : estimate,
                curve.equals(RepCurve.DEFAULT) ? parent.curve : curve,
                max ? Optional.of(ratio) : workingMaxThrough,
                guess ? Optional.of(ratio) : estimateThrough,
                references,
                gain,
                figures,
                leaning == 0 ? parent.leaning : leaning);
    }
}
