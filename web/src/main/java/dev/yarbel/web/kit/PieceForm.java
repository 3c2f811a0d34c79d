package dev.yarbel.web.kit;

import java.util.Map;

/**
 * What was typed about a piece of kit. Which fields there are is up to its shelf, and what stands in one may hang on another or on
 * the gym's unit: so all of it is text, for {@link PieceAnswers}.
 *
 * @param confirmed what was asked about and is meant
 */
record PieceForm(Map<PieceField, String> fields, String confirmed) {

    PieceForm {
        fields = fields == null ? Map.of() : fields;
    }
}
