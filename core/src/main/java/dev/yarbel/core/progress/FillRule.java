package dev.yarbel.core.progress;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/** How the weeks to the right of a dose are filled from it. */
public sealed interface FillRule {

    /** The same dose again. */
    record Same() implements FillRule {}

    /**
     * So much more each week: points of a percentage, a load, or halves of a rating.
     *
     * @param points for doses in percent
     * @param step for doses with a load
     */
    record Steady(Percent points, Mass step) implements FillRule {}

    /**
     * Towards a share in steps that shrink, see {@link ShrinkingSteps}; for doses in percent.
     *
     * @param goal of the last week
     */
    record Shrinking(Percent goal) implements FillRule {}

    /**
     * Three weeks up and one back to where it started plus a step, again and again.
     *
     * @param points each week
     */
    record Wave(Percent points, Mass step) implements FillRule {}

    /** A deload in the week after, and the same dose again from there on. */
    record DeloadNext(Deload style) implements FillRule {}

    /**
     * Backwards from what the last week must ask: the weeks before it lead there in shrinking steps from the first.
     *
     * @param last the dose of the last week
     */
    record Backwards(Dose last) implements FillRule {}

    /** Weeks up before a wave comes down. */
    int WAVE = 3;

    /**
     * The doses of the weeks after the first.
     *
     * @param from the dose of the first week
     * @param weeks how many weeks follow
     * @throws IllegalArgumentException when the rule cannot be applied to such a dose
     */
    static List<Optional<Dose>> fill(FillRule rule, Dose from, int weeks) {
        if (rule instanceof Steady steady) {
            List<Optional<Dose>> doses = new ArrayList<>();
            for (int week = 1; week <= weeks; week++) {
                doses.add(Optional.of(raised(
                        from,
                        steady.points().times(Percent.of(100L * week)),
                        steady.step().times(week))));
            }
            return doses;
        }
        if (rule instanceof Shrinking shrinking) {
            return toward(from, shrinking.goal(), weeks);
        }
        if (rule instanceof Wave wave) {
            List<Optional<Dose>> doses = new ArrayList<>();
            for (int week = 1; week <= weeks; week++) {
                int steps = week / WAVE + week % WAVE;
                doses.add(Optional.of(raised(
                        from,
                        wave.points().times(Percent.of(100L * steps)),
                        wave.step().times(steps))));
            }
            return doses;
        }
        if (rule instanceof DeloadNext deload) {
            List<Optional<Dose>> doses = new ArrayList<>(Collections.nCopies(weeks, Optional.of(from)));
            if (weeks > 0) {
                doses.set(0, deload.style().of(from));
            }
            return doses;
        }
        if (rule instanceof Backwards backwards) {
            Percent goal = percent(backwards.last());
            List<Optional<Dose>> doses = toward(from, goal, weeks);
            if (weeks > 0) {
                doses.set(weeks - 1, Optional.of(backwards.last()));
            }
            return doses;
        }
        return new ArrayList<>(Collections.nCopies(weeks, Optional.of(from)));
    }

    private static List<Optional<Dose>> toward(Dose from, Percent goal, int weeks) {
        List<Percent> shares = ShrinkingSteps.between(percent(from), goal, weeks + 1);
        List<Optional<Dose>> doses = new ArrayList<>();
        for (Percent share : shares.subList(1, shares.size())) {
            doses.add(Optional.of(withFirst(from, at(from.first(), share))));
        }
        return doses;
    }

    private static Percent percent(Dose dose) {
        if (dose.first().basis() instanceof LoadBasis.Share share) {
            return share.percent();
        }
        throw new IllegalArgumentException("only a dose in percent leads to a percentage: " + dose.shorthand());
    }

    private static Part at(Part part, Percent percent) {
        LoadBasis.Share share = (LoadBasis.Share) part.basis();
        return part.with(new LoadBasis.Share(
                share.of(), percent, percent.plus(share.most().minus(share.percent()))));
    }

    private static Dose raised(Dose dose, Percent points, Mass step) {
        Part part = dose.first();
        LoadBasis basis = part.basis();
        if (basis instanceof LoadBasis.Share share) {
            return withFirst(dose, at(part, share.percent().plus(points)));
        }
        if (basis instanceof LoadBasis.Fixed fixed) {
            return withFirst(dose, part.with(new LoadBasis.Fixed(fixed.load().plus(step), fixed.unit())));
        }
        if (basis instanceof LoadBasis.AtRpe at) {
            int halves = points.figure().intValue() / 5;
            return withFirst(
                    dose,
                    part.with(new LoadBasis.AtRpe(
                            Rpe.withHalvesLeft(Math.max(0, at.rpe().halvesLeft() - halves)))));
        }
        if (basis instanceof LoadBasis.LastTime) {
            return dose;
        }
        throw new IllegalArgumentException("nothing to add a step to: " + dose.shorthand());
    }

    private static Dose withFirst(Dose dose, Part first) {
        List<Part> parts = new ArrayList<>(dose.parts());
        parts.set(0, first);
        return new Dose(parts);
    }
}
