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

    /** The same dose, or where it would park at a milestone, a step below it. */
    static Dose skip(Dose dose, LiftNumbers numbers, MassUnit unit, Rounding rule) {
        List<Part> parts = new ArrayList<>();
        for (Part part : dose.parts()) {
            parts.add(skip(part, numbers, unit, rule));
        }
        return new Dose(parts);
    }

    private static Part skip(Part part, LiftNumbers numbers, MassUnit unit, Rounding rule) {
        if (!(part.basis() instanceof LoadBasis.Share share)
                || numbers.workingMax().isEmpty()) {
            return part;
        }
        Optional<Mass> whole = whole(share.of(), numbers);
        if (whole.isEmpty()
                || !isMilestone(
                        whole.get().times(share.percent()), numbers.workingMax().get(), unit, rule)) {
            return part;
        }
        Mass below =
                Mass.of(rounded(whole.get().times(share.percent()), unit, rule).subtract(step(unit)), unit);
        // so that the rule does not carry the tenth onto the milestone after all
        RoundingMode tenths =
                switch (rule) {
                    case NEAREST -> RoundingMode.HALF_UP;
                    case UP -> RoundingMode.FLOOR;
                    case DOWN -> RoundingMode.CEILING;
                };
        Percent tenth = Percent.of(below.percentOf(whole.get()).figure().setScale(1, tenths));
        return part.with(new LoadBasis.Share(share.of(), tenth));
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
