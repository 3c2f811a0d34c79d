package dev.yarbel.web.page;

import dev.yarbel.core.lift.Lift;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;

/** Lifts are kept by their key. */
@Converter(autoApply = true)
class LiftConverter implements AttributeConverter<Lift, String> {

    @Override
    public String convertToDatabaseColumn(Lift lift) {
        return lift == null ? null : lift.key();
    }

    @Override
    public Lift convertToEntityAttribute(String key) {
        return key == null ? null : new Lift(key);
    }
}
