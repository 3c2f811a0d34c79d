package dev.yarbel.web.kit;

import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/** Prints what is known of a piece into its fields. */
final class PieceTexts {

    private static final String TICKED = "on";

    private final Map<PieceField, String> texts = new EnumMap<>(PieceField.class);
    private final MassUnit unit;

    PieceTexts(MassUnit unit) {
        this.unit = unit;
    }

    PieceTexts with(PieceField field, String text) {
        if (!text.isEmpty()) {
            texts.put(field, text);
        }
        return this;
    }

    PieceTexts with(PieceField field, Mass mass) {
        return with(field, mass.format(unit, 3));
    }

    PieceTexts with(PieceField field, Length length) {
        return with(field, length.format(LengthUnit.CM, 2));
    }

    PieceTexts with(PieceField field, boolean ticked) {
        return with(field, ticked ? TICKED : "");
    }

    /** A field that stays blank where nothing is said. */
    PieceTexts withAny(PieceField field, Optional<?> said) {
        return with(field, said.map(Object::toString).orElse(""));
    }

    Map<PieceField, String> map() {
        return texts;
    }
}
