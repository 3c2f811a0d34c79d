package dev.yarbel.core.block;

/**
 * A week of a block: what it is for, and whether it is a deload.
 *
 * <p>A week without a dose on any day is a gap; nothing more need be said of it.
 */
public record BlockWeek(Phase phase, boolean deload) {

    /** A week of which nothing in particular was said. */
    public static final BlockWeek PLAIN = new BlockWeek(Phase.GENERAL, false);

    public static BlockWeek of(Phase phase) {
        return new BlockWeek(phase, false);
    }

    public BlockWeek asDeload() {
        return new BlockWeek(phase, true);
    }

    /** The same week as one that is trained. */
    public BlockWeek asTraining() {
        return new BlockWeek(phase, false);
    }
}
