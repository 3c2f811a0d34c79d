package dev.yarbel.core.progress;

/**
 * The law of density singles: the load stays until the whole goal is made in the time, then it goes up (common practice,
 * no source).
 */
public final class DensitySingles {

    private DensitySingles() {}

    /** Whether the load goes up. */
    public static boolean isEarned(int goal, int made) {
        return made >= goal;
    }
}
