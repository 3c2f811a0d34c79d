package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.Implement;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** One thing that is asked about a piece of kit. */
enum PieceField {
    IMPLEMENT(Input.CHOICE),
    NAME(Input.TEXT),
    MASS(Input.FIGURE),
    NOMINAL(Input.FIGURE),
    COUNT(Input.FIGURE),
    CALIBRATED(Input.TICK),
    FULL_SIZE(Input.TICK),
    MADE_FOR(Input.LIFT),
    FIT_FOR_PINS(Input.TICK),
    SAFETY_HEIGHT(Input.FIGURE),
    LEAST(Input.FIGURE),
    STEP(Input.FIGURE),
    MOST(Input.FIGURE),
    PER_METRE(Input.FIGURE),
    LENGTH(Input.FIGURE),
    LONG_LENGTH(Input.FIGURE),
    PULL(Input.FIGURE),
    PULL_LONG(Input.FIGURE),
    MAKE(Input.TEXT),
    BOUGHT(Input.FIGURE),
    OTHER_PULL(Input.FIGURE),
    OTHER_PULL_LONG(Input.FIGURE),
    OTHER_MAKE(Input.TEXT),
    OTHER_BOUGHT(Input.FIGURE);

    /** How it is put into the page. */
    enum Input {
        TEXT,
        FIGURE,
        TICK,
        CHOICE,
        LIFT
    }

    private final Input input;

    PieceField(Input input) {
        this.input = input;
    }

    public Input input() {
        return input;
    }

    /** Its name in forms and in the bundle. */
    public String code() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The implements that can stand on a shelf. */
    public List<Implement> choices(Shelf shelf) {
        Implement.Made made = shelf == Shelf.BARS ? Implement.Made.PLATES : Implement.Made.PIECES;
        return Arrays.stream(Implement.values())
                .filter(implement -> implement.made() == made)
                .toList();
    }
}
