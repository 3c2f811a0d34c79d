package dev.yarbel.core.contest;

import java.util.List;

/** What became of an attempt. */
public enum Outcome {
    /** Made, with a good deal left. */
    EASY,
    /** Made, moving well. */
    SOLID,
    /** Made, hardly. */
    GRIND,
    /** Made; nobody said how it moved. */
    MADE,
    /** Turned down though it went up, such as for depth or a command: strength was there. */
    TURNED_DOWN,
    /** It did not go up. */
    MISSED;

    /** Those that say all there is to say, of which each attempt has one. */
    public static final List<Outcome> TOLD = List.of(EASY, SOLID, GRIND, TURNED_DOWN, MISSED);

    public boolean isMade() {
        return this != TURNED_DOWN && this != MISSED;
    }
}
