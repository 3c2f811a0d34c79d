package dev.yarbel.core.shape;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.progress.ShrinkingSteps;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.WithinReach;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A row of weeks filled from a dose by a rule.
 *
 * <p>A deload in the row stays: what its cell holds is left, and an empty cell gets the lighter form of the dose before.
 * Nothing filled asks for what the lifter's curve says cannot be done by then, with the growth that may be expected: the
 * repetitions come down as the load goes up, and where not even a single is left, the week before is asked for again.
 *
 * @param doses one for each week of the row
 * @param notes what was done otherwise than the rule alone says
 */
public record Fill(List<Optional<Dose>> doses, List<Note> notes) {

    /** What is said of a filled row. */
    public enum Note {
        /** Repetitions come down with the load: so many could not be done there. */
        REPS_COME_DOWN,
        /** Not even a single of more could be done: the row rises no further. */
        RISES_NO_FURTHER,
        /** The rating does not rise above 9. */
        RATING_CAPPED,
        /** A deload in the row was left as it is. */
        DELOAD_STAYS,
        /** The dose has no lighter form, and is left out of the deload. */
        LEFT_OUT_OF_DELOAD
    }

    /**
     * The weeks to be filled.
     *
     * @param held what each of them holds now
     * @param deloads whether it is a deload
     * @param after how many weeks of the block follow them
     */
    public record Row(List<Optional<Dose>> held, List<Boolean> deloads, int after) {
        public Row {
            held = List.copyOf(held);
            deloads = List.copyOf(deloads);
        }

        int weeks() {
            return held.size();
        }

        int trainingWeeks() {
            return (int) deloads.stream().filter(deload -> !deload).count();
        }
    }

    /**
     * What a rule draws from.
     *
     * @param dose of the week before the row
     * @param weeks how many training weeks are drawn
     * @param after how many weeks of the block follow them
     */
    public record Start(Dose dose, int weeks, int after, LiftNumbers numbers) {

        /** The shares of the weeks to be drawn, in steps that shrink. */
        List<Percent> steps(Percent from, Percent to) {
            if (to.isLessThan(from)) {
                throw new FillRefused(FillRefused.Why.DOWNWARD);
            }
            List<Percent> all = ShrinkingSteps.between(from, to, weeks + 1, after)
                    .orElseThrow(() -> new FillRefused(
                            FillRefused.Why.STEPS_TOO_LARGE,
                            from,
                            to,
                            from.plus(ShrinkingSteps.longest(weeks + 1, after))));
            return weeks == 0 ? List.of() : all.subList(1, all.size());
        }

        /** A part's load as a share of what another load hangs on. */
        Percent shareIn(LoadBasis in, Part part) {
            Optional<LoadBasis.Share> share = part.basis().share();
            return in.share().isPresent() && in.share().map(LoadBasis.Share::of).equals(share.map(LoadBasis.Share::of))
                    ? share.get().percent()
                    : tenths(mass(part).percentOf(whole(in)));
        }

        /** The basis that asks for a share of what another load hangs on. */
        LoadBasis basis(LoadBasis in, Percent percent) {
            if (in.share().isPresent()) {
                Reference of = in.share().get().of();
                if (percent.isGreaterThan(of.most())) {
                    throw new FillRefused(FillRefused.Why.BEYOND_REFERENCE, of, of.most());
                }
                return new LoadBasis.Share(of, percent);
            }
            MassUnit unit = in.unitWritten().orElse(MassUnit.KG);
            return new LoadBasis.Fixed(
                    Mass.of(whole(in).times(percent).in(unit).setScale(1, RoundingMode.HALF_UP), unit), unit);
        }

        private Mass mass(Part part) {
            Mass whole = whole(part.basis());
            return part.basis()
                    .rating()
                    .map(rpe -> numbers.curve().load(whole, part.reps(), rpe))
                    .or(() -> part.basis().share().map(share -> whole.times(share.percent())))
                    .orElse(whole);
        }

        /** What shares of a basis are of: its reference, the load as such, and of a rating the max. */
        private Mass whole(LoadBasis in) {
            return in.accept(new Whole(numbers));
        }

        private record Whole(LiftNumbers numbers) implements LoadBasis.Visitor<Mass> {

            @Override
            public Mass atRpe(LoadBasis.AtRpe at) {
                return numbers.estimate().or(numbers::workingMax).orElseThrow(Start::numberMissing);
            }

            @Override
            public Mass share(LoadBasis.Share share) {
                return numbers.of(share.of()).orElseThrow(Start::numberMissing);
            }

            @Override
            public Mass belowTop(LoadBasis.BelowTop below) {
                return none();
            }

            @Override
            public Mass fixed(LoadBasis.Fixed fixed) {
                return fixed.load();
            }

            @Override
            public Mass bodyMassPlus(LoadBasis.BodyMassPlus plus) {
                return none();
            }

            @Override
            public Mass lastTime(LoadBasis.LastTime last) {
                return none();
            }

            @Override
            public Mass atSpeed(LoadBasis.AtSpeed at) {
                return none();
            }

            @Override
            public Mass byFeel(LoadBasis.ByFeel byFeel) {
                return none();
            }
        }

        private static FillRefused numberMissing() {
            return new FillRefused(FillRefused.Why.NUMBER_MISSING);
        }

        private static Mass none() {
            throw new FillRefused(FillRefused.Why.NOTHING_TO_STEP);
        }

        private static Percent tenths(Percent percent) {
            BigDecimal tenths = percent.figure().setScale(1, RoundingMode.HALF_UP);
            return Percent.of(tenths);
        }
    }

    public Fill {
        doses = List.copyOf(doses);
        notes = notes.stream().distinct().toList();
    }

    /**
     * Fills a row.
     *
     * @param from the dose of the week before it
     * @param numbers what the loads of the lift hang on
     * @throws FillRefused when the rule cannot be applied to such a dose
     */
    public static Fill of(FillRule rule, Dose from, Row row, LiftNumbers numbers) {
        Optional<Deload> deloadNext = rule.deload().filter(style -> row.weeks() > 0);
        int toDraw =
                row.trainingWeeks() - (deloadNext.isPresent() && !row.deloads().get(0) ? 1 : 0);
        List<Dose> drawn = rule.draw(new Start(from, toDraw, row.after(), numbers));
        List<Optional<Dose>> doses = new ArrayList<>();
        List<Note> notes = new ArrayList<>();
        Dose before = from;
        int next = 0;
        for (int week = 0; week < row.weeks(); week++) {
            if (deloadNext.isPresent() && week == 0) {
                doses.add(deloadNext.get().of(from, numbers));
                if (deloadNext.get() != Deload.OFF && !Deload.canLighten(from)) {
                    notes.add(Note.LEFT_OUT_OF_DELOAD);
                }
            } else if (row.deloads().get(week)) {
                doses.add(
                        row.held().get(week).isPresent() ? row.held().get(week) : Deload.HALF_SETS.of(before, numbers));
                notes.add(Note.DELOAD_STAYS);
            } else {
                // what the last week is to ask was written by the coach
                boolean written = rule.isLastWritten() && next == drawn.size() - 1;
                Dose wanted = drawn.get(next++);
                Dose dose = written ? wanted : withinReach(wanted, before, from, numbers.in(week + 1), notes);
                doses.add(Optional.of(dose));
                before = dose;
            }
        }
        if (isRatingCapped(rule, from, drawn)) {
            notes.add(Note.RATING_CAPPED);
        }
        return new Fill(doses, notes);
    }

    private static boolean isRatingCapped(FillRule rule, Dose from, List<Dose> drawn) {
        Optional<Rpe> last = drawn.isEmpty() ? Optional.empty() : FillRule.rating(drawn.get(drawn.size() - 1));
        return rule.raisesRatings()
                && last.isPresent()
                && FillRule.rating(from)
                        .map(rpe -> last.get().halvesLeft() > rpe.halvesLeft() - drawn.size())
                        .orElse(false)
                && last.get().compareTo(FillRule.HARDEST) >= 0;
    }

    private static Dose withinReach(Dose dose, Dose before, Dose from, LiftNumbers numbers, List<Note> notes) {
        Part first = dose.first();
        if (WithinReach.of(first, numbers, from.first())) {
            return dose;
        }
        if (first.work().straight().isPresent()) {
            for (int reps = first.reps() - 1; reps >= 1; reps--) {
                Part fewer = first.with(Work.Straight.of(first.sets(), reps));
                if (WithinReach.of(fewer, numbers, from.first())) {
                    notes.add(Note.REPS_COME_DOWN);
                    List<Part> parts = new ArrayList<>(dose.parts());
                    parts.set(0, fewer);
                    return new Dose(parts);
                }
            }
        }
        notes.add(Note.RISES_NO_FURTHER);
        return before;
    }
}
