package dev.yarbel.core.shape;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.progress.ShrinkingSteps;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * How the weeks to the right of a dose are filled from it. A rule draws the training weeks; {@link Fill} leaves deloads
 * where they are and keeps what was drawn within what the lifter can do.
 */
public sealed interface FillRule {

    /** How the week after the one it fills from becomes a deload; empty where it does not. */
    default Optional<Deload> deload() {
        return Optional.empty();
    }

    /** Whether ratings rise with it, up to {@link #HARDEST}. */
    default boolean raisesRatings() {
        return false;
    }

    /** Whether its last week was written by the coach. */
    default boolean isLastWritten() {
        return false;
    }

    /** The same dose again. */
    record Same() implements FillRule {
        @Override
        public List<Dose> draw(Fill.Start start) {
            return Collections.nCopies(start.weeks(), start.dose());
        }
    }

    /**
     * So much more each week: points of a percentage, a load, or half a point of a rating, up to 9.
     *
     * @param points for doses in percent
     * @param step for doses with a load
     */
    record Steady(Percent points, Mass step) implements FillRule {
        @Override
        public boolean raisesRatings() {
            return true;
        }

        @Override
        public List<Dose> draw(Fill.Start start) {
            List<Dose> doses = new ArrayList<>();
            for (int week = 1; week <= start.weeks(); week++) {
                doses.add(raised(start.dose(), points, step, week));
            }
            return doses;
        }
    }

    /**
     * Towards a share in steps that shrink, see {@link ShrinkingSteps}; for doses in percent.
     *
     * @param goal of the last week
     */
    record Shrinking(Percent goal) implements FillRule {
        @Override
        public List<Dose> draw(Fill.Start start) {
            LoadBasis.Share share = start.dose()
                    .first()
                    .basis()
                    .share()
                    .orElseThrow(() -> new FillRefused(FillRefused.Why.NO_PERCENTAGE));
            List<Dose> doses = new ArrayList<>();
            for (Percent percent : start.steps(share.percent(), goal)) {
                doses.add(withFirst(start.dose(), at(share, percent)));
            }
            return doses;
        }
    }

    /**
     * Three weeks up and one back to where it started plus a step, again and again.
     *
     * @param points each week
     */
    record Wave(Percent points, Mass step) implements FillRule {
        @Override
        public boolean raisesRatings() {
            return true;
        }

        @Override
        public List<Dose> draw(Fill.Start start) {
            List<Dose> doses = new ArrayList<>();
            for (int week = 1; week <= start.weeks(); week++) {
                doses.add(raised(start.dose(), points, step, week / WAVE + week % WAVE));
            }
            return doses;
        }
    }

    /** A deload in the week after, and the same dose again from there on. */
    record DeloadNext(Deload style) implements FillRule {
        @Override
        public Optional<Deload> deload() {
            return Optional.of(style);
        }

        @Override
        public List<Dose> draw(Fill.Start start) {
            return Collections.nCopies(start.weeks(), start.dose());
        }
    }

    /**
     * Backwards from what the last week must ask: the weeks before it lead there from the first, in steps of the load that
     * shrink, in what the last week's load hangs on. Repetitions and sets come from the first week's to the last's as the
     * load does. Where both are ratings, the last half points lead there.
     *
     * @param last the dose of the last week
     */
    record Backwards(Dose last) implements FillRule {
        @Override
        public boolean isLastWritten() {
            return true;
        }

        @Override
        public List<Dose> draw(Fill.Start start) {
            if (start.weeks() == 0) {
                return List.of();
            }
            Optional<Rpe> from = rating(start.dose());
            Optional<Rpe> goal = rating(last);
            List<Dose> doses =
                    from.isPresent() && goal.isPresent() ? byRating(start, from.get(), goal.get()) : byLoad(start);
            doses.set(start.weeks() - 1, last);
            return doses;
        }

        private List<Dose> byRating(Fill.Start start, Rpe from, Rpe goal) {
            if (from.compareTo(goal) > 0) {
                throw new FillRefused(FillRefused.Why.DOWNWARD);
            }
            List<Dose> doses = new ArrayList<>();
            for (int week = 1; week <= start.weeks(); week++) {
                int halves = Math.min(from.halvesLeft(), goal.halvesLeft() + start.weeks() - week);
                Rpe rpe = Rpe.withHalvesLeft(halves);
                double way = (double) week / start.weeks();
                doses.add(Dose.of(between(start.dose().first(), way).with(new LoadBasis.AtRpe(rpe))));
            }
            return doses;
        }

        private List<Dose> byLoad(Fill.Start start) {
            Part first = start.dose().first();
            LoadBasis goal = last.first().basis();
            LoadBasis in = goal.rating().isPresent() ? first.basis() : goal;
            Percent from = start.shareIn(in, first);
            Percent to = start.shareIn(in, last.first());
            List<Dose> doses = new ArrayList<>();
            for (Percent percent : start.steps(from, to)) {
                double way = to.equals(from)
                        ? 1
                        : percent.minus(from).figure().doubleValue()
                                / to.minus(from).figure().doubleValue();
                List<Part> parts = new ArrayList<>(start.dose().parts());
                parts.set(0, between(first, way).with(start.basis(in, percent)));
                doses.add(new Dose(parts));
            }
            return doses;
        }

        /** The sets of the first week, so far on the way to those of the last. */
        private Part between(Part first, double way) {
            Optional<Work.Straight> from =
                    first.work().straight().filter(straight -> straight.plus().isEmpty());
            Optional<Work.Straight> to = last.first().work().straight();
            return from.isPresent() && to.isPresent()
                    ? first.with(Work.Straight.of(
                            between(from.get().sets(), to.get().sets(), way),
                            between(from.get().reps(), to.get().reps(), way)))
                    : first;
        }

        private static int between(int from, int to, double way) {
            return (int) Math.round(from + (to - from) * way);
        }
    }

    /** Weeks up before a wave comes down. */
    int WAVE = 3;

    /** The hardest rating that stepping leads to; what starts harder stays where it is. */
    Rpe HARDEST = Rpe.of(9);

    /**
     * The doses of the training weeks after the first.
     *
     * @throws FillRefused when the rule cannot be applied to such a dose
     */
    List<Dose> draw(Fill.Start start);

    private static LoadBasis at(LoadBasis.Share share, Percent percent) {
        Percent most = percent.plus(share.most().minus(share.percent()));
        if (most.isGreaterThan(share.of().most())) {
            throw new FillRefused(
                    FillRefused.Why.BEYOND_REFERENCE, share.of(), share.of().most());
        }
        return new LoadBasis.Share(share.of(), percent, most);
    }

    private static Dose raised(Dose dose, Percent points, Mass step, int steps) {
        return withFirst(dose, dose.first().basis().accept(new Raised(points, step, steps)));
    }

    /** A load so many steps higher. */
    record Raised(Percent points, Mass step, int steps) implements LoadBasis.Visitor<LoadBasis> {

        @Override
        public LoadBasis atRpe(LoadBasis.AtRpe at) {
            return new LoadBasis.AtRpe(raised(at.least()), raised(at.rpe()));
        }

        @Override
        public LoadBasis share(LoadBasis.Share share) {
            BigDecimal raised = share.percent().figure().add(points.figure().multiply(BigDecimal.valueOf(steps)));
            return FillRule.at(share, Percent.of(raised.setScale(4, RoundingMode.HALF_UP)));
        }

        @Override
        public LoadBasis belowTop(LoadBasis.BelowTop below) {
            return none();
        }

        @Override
        public LoadBasis fixed(LoadBasis.Fixed fixed) {
            Mass load = fixed.load().plus(step.times(steps));
            return load.isGreaterThan(LoadBasis.Fixed.MOST) ? none() : new LoadBasis.Fixed(load, fixed.unit());
        }

        @Override
        public LoadBasis bodyMassPlus(LoadBasis.BodyMassPlus plus) {
            return new LoadBasis.BodyMassPlus(plus.more().plus(step.times(steps)), plus.unit());
        }

        @Override
        public LoadBasis lastTime(LoadBasis.LastTime last) {
            return last;
        }

        @Override
        public LoadBasis atSpeed(LoadBasis.AtSpeed at) {
            return none();
        }

        @Override
        public LoadBasis byFeel(LoadBasis.ByFeel byFeel) {
            return none();
        }

        private Rpe raised(Rpe rpe) {
            int hardest = Math.min(HARDEST.halvesLeft(), rpe.halvesLeft());
            return Rpe.withHalvesLeft(Math.max(hardest, rpe.halvesLeft() - steps));
        }

        private static LoadBasis none() {
            throw new FillRefused(FillRefused.Why.NOTHING_TO_STEP);
        }
    }

    private static Dose withFirst(Dose dose, LoadBasis load) {
        List<Part> parts = new ArrayList<>(dose.parts());
        parts.set(0, dose.first().with(load));
        return new Dose(parts);
    }

    /** The rating that a dose asks for first. */
    static Optional<Rpe> rating(Dose dose) {
        return dose.first().basis().rating();
    }
}
