package dev.yarbel.web.rest;

import com.fasterxml.jackson.annotation.JsonInclude;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;

/**
 * A mass as the interface has it: told in both units, and taken in either, or in both where they say the same.
 *
 * @param kg exactly
 * @param lb to a thousandth
 */
@Schema(description = "A mass. It is told in both units; send one of them, or both as they were told.")
@JsonInclude(JsonInclude.Include.NON_NULL)
public record JsonMass(BigDecimal kg, BigDecimal lb) {

    private static final int DECIMALS = 3;
    /** Of the exact figures in kg that are told: a pound has eight decimals. */
    private static final int MOST_DECIMALS = 11;

    /** More than these nobody types. */
    private static final int TYPED_DECIMALS = 6;

    private static final Mass AGREE = Mass.of("0.001", MassUnit.LB);

    public static JsonMass of(Mass mass) {
        return new JsonMass(mass.in(MassUnit.KG), new BigDecimal(mass.figure(MassUnit.LB, DECIMALS)));
    }

    /**
     * The mass, of nothing to {@link Reading#MOST}.
     *
     * @param field in which it stands
     * @throws UnreadableException when there is none, or two that contradict each other
     */
    public Mass mass(String field) {
        return mass(field, Reading.MOST);
    }

    /**
     * The same, and more than nothing.
     *
     * @throws UnreadableException when it is not
     */
    public Mass positive(String field) {
        Mass mass = mass(field);
        if (!mass.isPositive()) {
            throw new UnreadableException("read.mass", Reading.MOST.format(unit(MassUnit.KG), 0)).in(field);
        }
        return mass;
    }

    /** The same up to another mass. */
    public Mass mass(String field, Mass most) {
        if (kg == null && lb == null) {
            throw new UnreadableException("http.mass").in(field);
        }
        Mass mass = kg == null ? read(lb, MassUnit.LB, field, most) : read(kg, MassUnit.KG, field, most);
        if (kg != null
                && lb != null
                && mass.distanceTo(read(lb, MassUnit.LB, field, most)).isGreaterThan(AGREE)) {
            throw new UnreadableException("http.mass").in(field);
        }
        return mass;
    }

    /** As somebody would type it, in the unit it was sent in: {@code 315 lb}. */
    public String typed(String field, Mass most) {
        MassUnit unit = unit(MassUnit.KG);
        return mass(field, most).format(unit, TYPED_DECIMALS);
    }

    /** The unit it was sent in; the one given where it was sent in both. */
    public MassUnit unit(MassUnit otherwise) {
        return kg != null && lb != null ? otherwise : kg != null ? MassUnit.KG : MassUnit.LB;
    }

    private static Mass read(BigDecimal figure, MassUnit unit, String field, Mass most) {
        // looked at before it is reckoned with: a figure may have a billion decimals
        boolean usable =
                figure.signum() >= 0 && figure.scale() <= MOST_DECIMALS && figure.compareTo(most.in(unit)) <= 0;
        if (!usable) {
            throw new UnreadableException("read.mass", most.format(unit, 0)).in(field);
        }
        return Mass.of(figure, unit);
    }
}
