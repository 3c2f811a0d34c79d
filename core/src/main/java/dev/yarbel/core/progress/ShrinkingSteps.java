package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * A way from one share to another in which every step is no larger than the one before: at most 10 points a week early, and
 * at most 2.5 into each of a block's last two weeks (common practice, no source). Steps are in half points.
 */
public final class ShrinkingSteps {

    /** The largest step into one of a block's last two weeks. */
    public static final Percent LAST_STEP = Percent.of("2.5");

    /** The largest step before that. */
    public static final Percent LARGEST_STEP = Percent.of(10);

    private static final int LAST_WEEKS = 2;
    private static final BigDecimal HALVES = BigDecimal.valueOf(2);

    private ShrinkingSteps() {}

    /**
     * The shares of the last so many weeks of a block, the first and the last being as given; empty when the way is too
     * long for such steps.
     *
     * @param weeks at least 1; of one week only the last share remains
     * @throws IllegalArgumentException when it would lead downward
     */
    public static Optional<List<Percent>> between(Percent from, Percent to, int weeks) {
        return between(from, to, weeks, 0);
    }

    /**
     * The same for weeks that others of the block follow.
     *
     * @param after how many weeks of the block follow
     */
    public static Optional<List<Percent>> between(Percent from, Percent to, int weeks, int after) {
        if (weeks < 1 || after < 0 || to.isLessThan(from)) {
            throw new IllegalArgumentException("steps lead upward through one week or more");
        }
        if (weeks == 1) {
            return Optional.of(List.of(to));
        }
        if (to.minus(from).isGreaterThan(longest(weeks, after))) {
            return Optional.empty();
        }
        List<Percent> shares = new ArrayList<>(List.of(from));
        Percent at = from;
        for (int halves : steps(halves(to.minus(from)), most(weeks - 1, after))) {
            at = at.plus(share(halves));
            shares.add(at);
        }
        shares.set(weeks - 1, to);
        return Optional.of(shares);
    }

    /** The longest way that so many weeks can lead, when so many weeks of the block follow them. */
    public static Percent longest(int weeks, int after) {
        return share(Arrays.stream(most(weeks - 1, after)).sum());
    }

    /** The shares of the last weeks of a block up to a goal: from the start, or from where it can still be reached. */
    public static List<Percent> reaching(Percent start, Percent goal, int weeks) {
        Percent lowest = goal.minus(longest(weeks, 0));
        return between(start.isLessThan(lowest) ? lowest : start, goal, weeks).orElseThrow();
    }

    private static Percent share(int halves) {
        return Percent.of(BigDecimal.valueOf(halves).divide(HALVES));
    }

    private static int halves(Percent way) {
        return way.figure().multiply(HALVES).setScale(0, RoundingMode.FLOOR).intValue();
    }

    /** The largest each step may be, in halves. */
    private static int[] most(int steps, int after) {
        int[] most = new int[Math.max(0, steps)];
        for (int i = 0; i < most.length; i++) {
            boolean late = most.length - 1 - i + after < LAST_WEEKS;
            most[i] = halves(late ? LAST_STEP : LARGEST_STEP);
        }
        return most;
    }

    /**
     * Splits a way into steps that never grow. They shrink evenly, the first about three times the last; what does not
     * divide, or is too much for a late step, goes to the earliest that has room for it.
     */
    private static int[] steps(int way, int[] most) {
        int count = most.length;
        int[] steps = new int[count];
        int base = (count + 1) / 2;
        int weights = count * (count + 1) / 2 + base * count;
        int left = way;
        for (int i = 0; i < count; i++) {
            steps[i] = Math.min(most[i], way * (count - i + base) / weights);
            left -= steps[i];
        }
        int i = 0;
        while (left > 0) {
            if (steps[i] < most[i] && (i == 0 || steps[i] < steps[i - 1])) {
                steps[i]++;
                left--;
            }
            i = (i + 1) % count;
        }
        return steps;
    }
}
