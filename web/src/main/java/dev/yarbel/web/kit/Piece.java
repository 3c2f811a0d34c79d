package dev.yarbel.web.kit;

import dev.yarbel.core.measure.MassUnit;
import java.util.Map;

/**
 * What is known of one piece of kit, or of some that are alike; each shelf has a kind of its own. It is kept as it reads in a
 * form, field by field, and read from there again.
 */
sealed interface Piece permits BarPiece, PlatePiece, WholePiece, MachinePiece, BandPiece, ChainPiece {

    Shelf shelf();

    /** The unit its masses were typed in. */
    MassUnit unit();

    /** What stands in its fields; a field that is blank, or a box that is not ticked, is missing. */
    Map<PieceField, String> texts();

    /** What to call it: its name, else its mass. */
    default String label() {
        return texts().getOrDefault(PieceField.NAME, texts().getOrDefault(PieceField.MASS, ""));
    }
}
