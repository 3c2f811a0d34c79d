package dev.yarbel.core.lift;

/** A measure that belongs to a variation's identity and differs between lifters; it stands on a card. */
public enum SetUpMeasure {
    PIN_HEIGHT,
    SAFETY_HEIGHT,
    BLOCK_HEIGHT,
    DEFICIT,
    BOX_HEIGHT,
    BOARD,
    BENCH_ANGLE,
    GRIP_WIDTH,
    STANCE,
    RACK_HEIGHT,
    PICK_HEIGHT,
    COURSE;

    /** Whether it decides how far the load travels, so that the set is another one without it. */
    public boolean isOfTheWay() {
        return switch (this) {
            case PIN_HEIGHT, BLOCK_HEIGHT, DEFICIT, BOX_HEIGHT, BOARD, PICK_HEIGHT -> true;
            case SAFETY_HEIGHT, BENCH_ANGLE, GRIP_WIDTH, STANCE, RACK_HEIGHT, COURSE -> false;
        };
    }
}
