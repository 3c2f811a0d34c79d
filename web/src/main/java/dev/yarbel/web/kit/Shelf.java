package dev.yarbel.web.kit;

import java.util.List;
import java.util.Locale;

/** Where in a gym a piece of kit belongs, and what is asked about it there. */
enum Shelf {
    BARS(
            PieceField.IMPLEMENT,
            PieceField.NAME,
            PieceField.MASS,
            PieceField.MADE_FOR,
            PieceField.SAFETY_HEIGHT,
            PieceField.FIT_FOR_PINS),
    PLATES(PieceField.MASS, PieceField.COUNT, PieceField.CALIBRATED, PieceField.FULL_SIZE),
    PIECES(PieceField.IMPLEMENT, PieceField.NAME, PieceField.NOMINAL, PieceField.MASS),
    MACHINES(PieceField.NAME, PieceField.MADE_FOR, PieceField.LEAST, PieceField.STEP, PieceField.MOST),
    BANDS(
            PieceField.NAME,
            PieceField.LENGTH,
            PieceField.PULL,
            PieceField.LONG_LENGTH,
            PieceField.PULL_LONG,
            PieceField.MAKE,
            PieceField.BOUGHT,
            PieceField.OTHER_PULL,
            PieceField.OTHER_PULL_LONG,
            PieceField.OTHER_MAKE,
            PieceField.OTHER_BOUGHT),
    CHAINS(PieceField.NAME, PieceField.PER_METRE, PieceField.LENGTH, PieceField.COUNT);

    private final List<PieceField> fields;

    Shelf(PieceField... fields) {
        this.fields = List.of(fields);
    }

    public List<PieceField> fields() {
        return fields;
    }

    /** Its name in addresses and in the bundle. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }
}
