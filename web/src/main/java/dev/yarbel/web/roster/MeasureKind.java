package dev.yarbel.web.roster;

import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import java.math.BigDecimal;
import java.math.RoundingMode;

/** What can be measured on a lifter, in kg, in cm or as a number. */
public enum MeasureKind {
    BODY_MASS(Of.MASS),
    WAIST(Of.LENGTH),
    HIPS(Of.LENGTH),
    CHEST_GIRTH(Of.LENGTH),
    UPPER_ARM(Of.LENGTH),
    THIGH(Of.LENGTH),
    BODY_WEIGHT_SQUATS(Of.NUMBER),
    PUSH_UPS(Of.NUMBER),
    PULL_UPS(Of.NUMBER),
    PLANK_SECONDS(Of.NUMBER);

    private enum Of {
        MASS,
        LENGTH,
        NUMBER
    }

    private static final Mass MOST_BODY = Mass.ofKg(350);
    private static final Mass LEAST_BODY = Mass.ofKg(20);

    private final Of of;

    MeasureKind(Of of) {
        this.of = of;
    }

    /** Reads what was typed, in the lifter's units, into kg, cm or a number. */
    public BigDecimal read(String text, MassUnit unit) {
        return switch (of) {
            case MASS -> {
                Mass mass = Reading.mass(text, unit, MOST_BODY);
                if (mass.isLessThan(LEAST_BODY)) {
                    throw new UnreadableException("read.body-mass");
                }
                yield mass.in(MassUnit.KG);
            }
            case LENGTH ->
                Reading.length(text, lengthUnit(unit), Length.ofCm(15), Length.ofCm(250))
                        .in(LengthUnit.CM);
            case NUMBER -> BigDecimal.valueOf(Reading.number(text, 0, 1000));
        };
    }

    /** What was kept, in the lifter's units. */
    String print(BigDecimal figure, MassUnit unit) {
        return switch (of) {
            case MASS -> Mass.of(figure, MassUnit.KG).format(unit, 1);
            case LENGTH -> Length.of(figure, LengthUnit.CM).format(lengthUnit(unit), 1);
            case NUMBER -> figure.stripTrailingZeros().toPlainString();
        };
    }

    /** What was kept as a figure in the lifter's units. */
    BigDecimal in(BigDecimal figure, MassUnit unit) {
        return switch (of) {
            case MASS -> new BigDecimal(Mass.of(figure, MassUnit.KG).figure(unit, 2));
            case LENGTH -> Length.of(figure, LengthUnit.CM).in(lengthUnit(unit)).setScale(1, RoundingMode.HALF_UP);
            case NUMBER -> figure.stripTrailingZeros();
        };
    }

    /** The unit of that figure; none for what is counted. */
    String symbol(MassUnit unit) {
        return switch (of) {
            case MASS -> unit.symbol();
            case LENGTH -> lengthUnit(unit).symbol();
            case NUMBER -> "";
        };
    }

    private static LengthUnit lengthUnit(MassUnit unit) {
        return unit == MassUnit.LB ? LengthUnit.IN : LengthUnit.CM;
    }
}
