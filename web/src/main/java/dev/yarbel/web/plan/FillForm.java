package dev.yarbel.web.plan;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.DoseParser;
import dev.yarbel.core.shape.Deload;
import dev.yarbel.core.shape.FillRule;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.UnreadableException;
import java.math.BigDecimal;

/**
 * What is asked of the weeks to the right.
 *
 * @param from the week to fill from, from 0
 * @param to the last week to be filled
 */
record FillForm(int from, int to, FillRule rule) {

    /**
     * Reads the form.
     *
     * @param weeks how many weeks the block has
     * @param unit of loads that are typed without one
     */
    static FillForm read(Typed typed, int weeks, MassUnit unit) {
        int from = typed.read("from", text -> Reading.number(text, 1, weeks));
        int to = typed.read("to", text -> Reading.number(text, from + 1, Math.max(from + 1, weeks)));
        return new FillForm(from - 1, Math.min(to, weeks) - 1, rule(typed, unit));
    }

    private static FillRule rule(Typed typed, MassUnit unit) {
        return switch (typed.text("rule")) {
            case "same" -> new FillRule.Same();
            case "steady" -> new FillRule.Steady(points(typed), step(typed, unit));
            case "shrinking" ->
                new FillRule.Shrinking(typed.read("goal", text -> Percent.of(Reading.decimal(percent(text), 1, 130))));
            case "wave" -> new FillRule.Wave(points(typed), step(typed, unit));
            case "deload" -> new FillRule.DeloadNext(typed.read("style", text -> Reading.choice(Deload.class, text)));
            case "backwards" -> new FillRule.Backwards(typed.read("last", text -> dose(text, unit)));
            default -> throw new UnreadableException("read.choice").in("rule");
        };
    }

    private static Percent points(Typed typed) {
        return Percent.of(typed.readIfAny("points", text -> Reading.decimal(percent(text), 0, 50))
                .orElse(new BigDecimal("2.5")));
    }

    private static String percent(String text) {
        return text.replace("%", "").strip();
    }

    private static Mass step(Typed typed, MassUnit unit) {
        return typed.readIfAny("step", text -> Reading.mass(text, unit, Mass.ofKg(50)))
                .orElse(unit == MassUnit.KG ? Mass.of("2.5", MassUnit.KG) : Mass.ofLb(5));
    }

    private static Dose dose(String text, MassUnit unit) {
        return DoseParser.parse(text, unit).dose().orElseThrow(() -> new UnreadableException("plan.no-dose"));
    }
}
