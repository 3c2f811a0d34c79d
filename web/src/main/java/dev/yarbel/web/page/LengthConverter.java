package dev.yarbel.web.page;

import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.math.BigDecimal;

/** Lengths are kept in cm, to 100 nm, so that inches come back exactly. */
@Converter(autoApply = true)
class LengthConverter implements AttributeConverter<Length, BigDecimal> {

    @Override
    public BigDecimal convertToDatabaseColumn(Length length) {
        return length == null ? null : length.in(LengthUnit.CM);
    }

    @Override
    public Length convertToEntityAttribute(BigDecimal cm) {
        return cm == null ? null : Length.of(cm, LengthUnit.CM);
    }
}
