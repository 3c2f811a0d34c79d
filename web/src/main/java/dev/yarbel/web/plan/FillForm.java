package dev.yarbel.web.plan;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.DoseParser;
import dev.yarbel.core.shape.Deload;
import dev.yarbel.core.shape.FillRule;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import jakarta.validation.constraints.NotNull;
import java.math.BigDecimal;
import java.util.Set;

/**
 * How a coach asks for the weeks to the right to be filled. What hangs on the rule stays text, for only the fields of the rule
 * chosen are to be seen.
 *
 * @param slot the numbers of the slots
 * @param from the week to fill from, from 1
 * @param to the last week to be filled
 * @param follow whether the blocks given from this one are filled too
 */
record FillForm(
        Set<Long> slot,
        Integer from,
        Integer to,
        @NotNull Rule rule,
        String points,
        String step,
        String goal,
        Deload style,
        String last,
        Boolean follow)
        implements Follows {

    /** The rules, as the form names them. */
    enum Rule {
        SAME,
        STEADY,
        SHRINKING,
        WAVE,
        DELOAD,
        BACKWARDS
    }

    /**
     * What is asked of the weeks to the right.
     *
     * @param slots the numbers of the slots
     * @param from the week to fill from, from 0
     * @param to the last week to be filled
     */
    record Filling(Set<Long> slots, int from, int to, FillRule rule) {}

    /**
     * Reads the form.
     *
     * @param weeks how many weeks the block has
     * @param unit of loads that are typed without one
     */
    Filling read(int weeks, MassUnit unit) {
        int first = Reading.within("from", from, 1, weeks);
        int last = Reading.within("to", to, first + 1, Math.max(first + 1, weeks));
        return new Filling(slot == null ? Set.of() : slot, first - 1, Math.min(last, weeks) - 1, rule(unit));
    }

    private FillRule rule(MassUnit unit) {
        return switch (rule) {
            case SAME -> new FillRule.Same();
            case STEADY -> new FillRule.Steady(pointsAWeek(), step(unit));
            case SHRINKING ->
                new FillRule.Shrinking(Reading.field("goal", goal, text -> Percent.of(share(text, 1, 130))));
            case WAVE -> new FillRule.Wave(pointsAWeek(), step(unit));
            case DELOAD -> new FillRule.DeloadNext(Reading.needed("style", style));
            case BACKWARDS -> new FillRule.Backwards(Reading.field("last", last, text -> dose(text, unit)));
        };
    }

    private Percent pointsAWeek() {
        return Percent.of(
                Reading.fieldIfAny("points", points, text -> share(text, 0, 50)).orElse(new BigDecimal("2.5")));
    }

    private static BigDecimal share(String text, int least, int most) {
        return Reading.decimal(text.replace("%", "").strip(), least, most);
    }

    private Mass step(MassUnit unit) {
        return Reading.fieldIfAny("step", step, text -> Reading.mass(text, unit, Mass.ofKg(50)))
                .orElse(unit == MassUnit.KG ? Mass.of("2.5", MassUnit.KG) : Mass.ofLb(5));
    }

    private static Dose dose(String text, MassUnit unit) {
        return DoseParser.parse(text, unit).dose().orElseThrow(() -> new UnreadableException("plan.no-dose"));
    }
}
