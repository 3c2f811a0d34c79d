package dev.yarbel.core.contest;

import java.util.List;

/** What became of an attempt. */
public enum Outcome {
    /** Made, with two or more repetitions left: rated 8 and under. */
    EASY,
    /** Made, with one left: rated 8.5 or 9. */
    SOLID,
    /** Made, with nothing left: rated 9.5 or 10. */
    GRIND,
    /** Made; nobody said how much was left. */
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
