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
    COURSE
}
