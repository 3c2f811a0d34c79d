package dev.yarbel.core.school;

import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.WithinReach;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Round numbers near a lifter's best scare; they are trained below and then passed, never parked at (common practice, no
 * source). Whole fifties of kilograms and whole hundreds of pounds count, from 90 % of the max up, in percentages of the working
 * max and of a goal.
 */
final class Milestones {

    private static final Percent NEAR = Percent.of(90);
    private static final BigDecimal KG = BigDecimal.valueOf(50);
    private static final BigDecimal LB = BigDecimal.valueOf(100);
    private static final BigDecimal KG_STEP = new BigDecimal("2.5");
    private static final BigDecimal LB_STEP = BigDecimal.valueOf(5);

    private Milestones() {}

    /** Whether a load is a round number near the max. */
    static boolean isMilestone(Mass load, Mass max, MassUnit unit, Rounding rule) {
        BigDecimal round = unit == MassUnit.KG ? KG : LB;
        BigDecimal rounded = rounded(load, unit, rule);
        return rounded.remainder(round).signum() == 0
                && rounded.signum() > 0
                && load.percentOf(max).compareTo(NEAR) >= 0;
    }

    /**
     * The doses of a row of weeks, none of them parked at a milestone: a step below it, or above it where that keeps the
     * steps from growing. The goal itself, asked for whole, stays.
     */
    static List<Optional<Dose>> skip(List<Optional<Dose>> row, LiftNumbers numbers, MassUnit unit, Rounding rule) {
        List<Optional<Dose>> skipped = new ArrayList<>();
        for (int week = 0; week < row.size(); week++) {
            int at = week;
            skipped.add(row.get(week).map(dose -> skip(dose, skipped, next(row, at), numbers, unit, rule)));
        }
        return skipped;
    }

    private static Optional<Dose> next(List<Optional<Dose>> row, int week) {
        return row.subList(week + 1, row.size()).stream()
                .flatMap(Optional::stream)
                .findFirst();
    }

    private static Dose skip(
            Dose dose,
            List<Optional<Dose>> before,
            Optional<Dose> next,
            LiftNumbers numbers,
            MassUnit unit,
            Rounding rule) {
        List<Part> parts = new ArrayList<>();
        for (Part part : dose.parts()) {
            parts.add(skip(part, before, next, numbers, unit, rule));
        }
        return new Dose(parts);
    }

    private static Part skip(
            Part part,
            List<Optional<Dose>> before,
            Optional<Dose> next,
            LiftNumbers numbers,
            MassUnit unit,
            Rounding rule) {
        if (part.basis().share().isEmpty() || numbers.workingMax().isEmpty()) {
            return part;
        }
        LoadBasis.Share share = part.basis().share().get();
        if (share.of() == Reference.Named.GOAL && share.percent().equals(Percent.HUNDRED)) {
            return part;
        }
        Optional<Mass> whole = whole(share.of(), numbers);
        if (whole.isEmpty()
                || !isMilestone(
                        whole.get().times(share.percent()), numbers.workingMax().get(), unit, rule)) {
            return part;
        }
        BigDecimal milestone = rounded(whole.get().times(share.percent()), unit, rule);
        Percent above = share(milestone.add(step(unit)), whole.get(), unit, rule);
        Part passed = part.with(new LoadBasis.Share(share.of(), above));
        return keepsTheSteps(above, before, next, share.of()) && WithinReach.of(passed, numbers)
                ? passed
                : part.with(new LoadBasis.Share(
                        share.of(), share(milestone.subtract(step(unit)), whole.get(), unit, rule)));
    }

    /** Whether a share leaves a step to the next week, and is no larger step than the last one was. */
    private static boolean keepsTheSteps(
            Percent share, List<Optional<Dose>> before, Optional<Dose> next, Reference of) {
        List<Percent> shares = before.stream()
                .flatMap(Optional::stream)
                .flatMap(dose -> of(dose, of).stream())
                .toList();
        Optional<Percent> following = next.flatMap(dose -> of(dose, of));
        if (shares.size() < 2
                || following.filter(percent -> !percent.isLessThan(share)).isEmpty()) {
            return false;
        }
        Percent last = shares.get(shares.size() - 1);
        return !share.minus(last).isGreaterThan(last.minus(shares.get(shares.size() - 2)));
    }

    private static Optional<Percent> of(Dose dose, Reference of) {
        return dose.first()
                .basis()
                .share()
                .filter(share -> share.of().equals(of))
                .map(LoadBasis.Share::percent);
    }

    private static Percent share(BigDecimal load, Mass whole, MassUnit unit, Rounding rule) {
        // so that the rule does not carry the tenth onto the milestone after all
        RoundingMode tenths =
                switch (rule) {
                    case NEAREST -> RoundingMode.HALF_UP;
                    case UP -> RoundingMode.FLOOR;
                    case DOWN -> RoundingMode.CEILING;
                };
        return Percent.of(Mass.of(load, unit).percentOf(whole).figure().setScale(1, tenths));
    }

    /** What a share is of, as far as milestones are looked for. */
    static Optional<Mass> whole(Reference of, LiftNumbers numbers) {
        return of == Reference.Named.WORKING
                ? numbers.workingMax()
                : of == Reference.Named.GOAL ? numbers.references().goal() : Optional.empty();
    }

    private static BigDecimal step(MassUnit unit) {
        return unit == MassUnit.KG ? KG_STEP : LB_STEP;
    }

    private static BigDecimal rounded(Mass load, MassUnit unit, Rounding rule) {
        RoundingMode mode =
                switch (rule) {
                    case NEAREST -> RoundingMode.HALF_UP;
                    case UP -> RoundingMode.CEILING;
                    case DOWN -> RoundingMode.FLOOR;
                };
        return load.in(unit).divide(step(unit), 0, mode).multiply(step(unit));
    }
}
