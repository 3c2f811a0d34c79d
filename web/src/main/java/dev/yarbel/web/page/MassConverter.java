package dev.yarbel.web.page;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.math.BigDecimal;

/** Masses are kept in kg, to 10 ng, so that pounds come back exactly. */
@Converter(autoApply = true)
class MassConverter implements AttributeConverter<Mass, BigDecimal> {

    @Override
    public BigDecimal convertToDatabaseColumn(Mass mass) {
        return mass == null ? null : mass.in(MassUnit.KG);
    }

    @Override
    public Mass convertToEntityAttribute(BigDecimal kg) {
        return kg == null ? null : Mass.of(kg, MassUnit.KG);
    }
}
