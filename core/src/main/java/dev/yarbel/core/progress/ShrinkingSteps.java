package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;

/**
 * A way from one share to another in which every step is no larger than the one before: large steps early, and at most
 * 2.5 points at the end where the way allows it (common practice, no source). Steps are in half points.
 */
public final class ShrinkingSteps {

    /** The largest step in the last two weeks. */
    public static final Percent LAST_STEP = Percent.of("2.5");

    private static final int HALVES = 2;
    private static final int LAST_HALVES = 5;

    private ShrinkingSteps() {}

    /**
     * The shares of so many weeks, the first and the last being as given.
     *
     * @param weeks at least 1; of one week only the last share remains
     * @throws IllegalArgumentException when it would lead downward
     */
    public static List<Percent> between(Percent from, Percent to, int weeks) {
        if (weeks < 1 || to.isLessThan(from)) {
            throw new IllegalArgumentException("steps lead upward through one week or more");
        }
        if (weeks == 1) {
            return List.of(to);
        }
        List<Percent> shares = new ArrayList<>(List.of(from));
        Percent at = from;
        for (int halves : steps(halves(to.minus(from)), weeks - 1)) {
            at = at.plus(Percent.of(BigDecimal.valueOf(halves).divide(BigDecimal.valueOf(HALVES))));
            shares.add(at);
        }
        shares.set(weeks - 1, to);
        return shares;
    }

    private static int halves(Percent way) {
        return way.figure().multiply(BigDecimal.valueOf(HALVES)).intValue();
    }

    /**
     * Splits a way into steps that never grow. They shrink evenly, the first about three times the last; what does not
     * divide goes to the first.
     */
    private static int[] steps(int way, int count) {
        int[] steps = new int[count];
        int base = (count + 1) / 2;
        int weights = count * (count + 1) / 2 + base * count;
        int left = way;
        for (int i = 0; i < count; i++) {
            steps[i] = way * (count - i + base) / weights;
            if (i >= count - 2 && i > 0) {
                steps[i] = Math.min(steps[i], LAST_HALVES);
            }
            left -= steps[i];
        }
        // what is left over goes to the first steps, one half each, so that they stay in order
        for (int i = 0; left > 0; i = (i + 1) % Math.max(1, count - 2)) {
            steps[i]++;
            left--;
        }
        return steps;
    }
}
