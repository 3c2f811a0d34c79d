package dev.yarbel.web.page;

import dev.yarbel.core.measure.Percent;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.math.BigDecimal;

/** Shares are kept as percentages. */
@Converter(autoApply = true)
class PercentConverter implements AttributeConverter<Percent, BigDecimal> {

    @Override
    public BigDecimal convertToDatabaseColumn(Percent percent) {
        return percent == null ? null : percent.figure();
    }

    @Override
    public Percent convertToEntityAttribute(BigDecimal percent) {
        return percent == null ? null : Percent.of(percent);
    }
}
