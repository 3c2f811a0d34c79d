package dev.yarbel.web.kit;

import dev.yarbel.web.page.FormExtras;
import java.util.Map;

/**
 * What was typed about a piece of kit. Which fields there are is up to its shelf, and what stands in one may hang on another or on
 * the gym's unit: so all of it is text, for {@link PieceAnswers}.
 *
 * @param confirmed what was asked about and is meant
 * @param all whether all of it is meant, whatever would be asked about
 */
record PieceForm(Map<PieceField, String> fields, String confirmed, Boolean all) {

    PieceForm {
        fields = fields == null ? Map.of() : fields;
    }

    /** Whether what stands in a field is to be kept however unlikely it looks. */
    boolean isMeant(String text) {
        return Boolean.TRUE.equals(all) || FormExtras.isConfirmed(confirmed, text);
    }
}
