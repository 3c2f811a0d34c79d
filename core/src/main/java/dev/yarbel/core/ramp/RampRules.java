package dev.yarbel.core.ramp;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.List;

/**
 * What makes a good ramp, in shares of the day's top (common practice, no source), and what each thing costs.
 *
 * <p>Two rules hold wherever the kit allows it: from {@link #SHRINK_FROM} on every step is smaller than the one before,
 * and the last warm-up lies from {@link #LAST_LEAST} to {@link #LAST_MOST}, or within {@link #SHORT_STEP} of a light top.
 * After them, plates coming off are avoided. Among the ramps left, the cheapest is taken: every set costs, every plate
 * handled costs, a step costs by the square of its share of the top, so that big jumps cost most, and so do a step
 * larger than the one before, small change on the bar before the last step and a first heavy warm-up above
 * {@link #HEAVY_BY}.
 */
final class RampRules {

    static final Percent SHRINK_FROM = Percent.of(70);
    static final Percent HEAVY_BY = Percent.of(80);
    static final Percent LAST_LEAST = Percent.of(88);
    static final Percent LAST_MOST = Percent.of(95);
    /** A last step no longer than this needs no warm-up between, whatever its share of a light top. */
    static final Mass SHORT_STEP = Mass.ofKg(10);
    /** A plate lighter than this share of the top is small change. */
    static final Percent SMALL_CHANGE = Percent.of(1);

    /** Where the warm-ups of fixed pieces are looked for. */
    static final List<Percent> SHARES_OF_PIECES = List.of(Percent.of(50), Percent.of(70), Percent.of(85));

    static final long BROKEN_RULE = 1_000_000_000_000L;
    static final long STRIP = 1_000_000_000L;
    static final long SMALL_PLATE = 10_000_000;
    static final long SET = 10_000;
    static final long PLATE = 2_000;
    static final long LATE_START = 5_000;
    static final long GROWING_STEP = 15_000;

    private RampRules() {}

    /** The cost of a step of so many thousandths of the top: 400 × share², in thousandths. */
    static long jump(long permille) {
        return permille * permille * 4 / 10;
    }

    /** Repetitions fall as the load rises: ten with a bare bar far below the top, then 5, 3, 2 and 1. */
    static int reps(Percent share, boolean bareBar) {
        if (bareBar) {
            return share.compareTo(Percent.of(60)) <= 0 ? 10 : share.compareTo(Percent.of(75)) <= 0 ? 5 : 3;
        }
        if (share.compareTo(Percent.of(82)) > 0) {
            return 1;
        }
        if (share.compareTo(Percent.of(70)) > 0) {
            return 2;
        }
        if (share.compareTo(Percent.of(55)) > 0) {
            return 3;
        }
        return 5;
    }
}
