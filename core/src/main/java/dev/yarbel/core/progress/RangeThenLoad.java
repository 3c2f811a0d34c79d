package dev.yarbel.core.progress;

import java.util.List;

/**
 * The law of rep range, then load: when every set reaches the top of the range, a step is added and the bottom is where
 * it starts again (common practice, no source).
 */
public final class RangeThenLoad {

    private RangeThenLoad() {}

    /** Whether a step is earned: all sets that were asked for were done to the top of the range. */
    public static boolean isEarned(int sets, int top, List<Integer> reps) {
        return reps.size() >= sets && reps.stream().limit(sets).allMatch(made -> made >= top);
    }
}
