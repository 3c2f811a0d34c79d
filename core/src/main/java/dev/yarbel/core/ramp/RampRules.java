package dev.yarbel.core.ramp;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.List;

/**
 * What makes a good ramp, in shares of the day's top (common practice, no source), and what each thing costs.
 *
 * <p>From {@link #SHRINK_FROM} on every step is smaller than the one before, or as small where it is no longer than
 * {@link #SHORT_STEP}, and the last warm-up lies from
 * {@link #LAST_LEAST} to {@link #LAST_MOST}, or within {@link #SHORT_STEP} of a light top. No bar carries more than
 * {@link #BEYOND_THE_FEWEST} plates a side beyond the fewest that make its load, and a ramp handles no more than
 * {@link #BEYOND_THE_LEAST} plates a side more than it need.
 *
 * <p>Where the kit does not allow that, things give way in this order, each only where all before it do not help: the last
 * warm-up may lie anywhere from {@link #LAST_WIDE_LEAST} to {@link #LAST_WIDE_MOST}; steps need shrink from
 * {@link #SHRINK_WIDE_FROM} on only; plates under {@link #SMALL_CHANGE} of the top go on before the last step; plates come off in any other way than a swap. What is left is broken, and said.
 *
 * <p>Among the ramps that give way alike the cheapest is taken: every set costs {@link #SET}, every plate put on or taken
 * off {@link #PLATE} a side, a change at which up to two plates come off for a larger one {@link #SWAP}, a plate of the top
 * beyond the fewest {@link #EXTRA}, more where 45s alone would make it, or full-size discs a pull, a step by the square of its share of the top, and so do a step larger than the one
 * before, a step to below {@link #SHRINK_WIDE_FROM} that is not one big plate a side where that would do, and a first heavy warm-up above
 * {@link #HEAVY_BY}.
 */
final class RampRules {

    static final Percent SHRINK_FROM = Percent.of(70);
    static final Percent SHRINK_WIDE_FROM = Percent.of(75);
    static final Percent HEAVY_BY = Percent.of(80);
    static final Percent LAST_LEAST = Percent.of(88);
    static final Percent LAST_MOST = Percent.of(95);
    static final Percent LAST_WIDE_LEAST = Percent.of(80);
    static final Percent LAST_WIDE_MOST = Percent.of(96);
    /** A last step no longer than this needs no warm-up between, whatever its share of a light top. */
    static final Mass SHORT_STEP = Mass.ofKg(10);
    /** A plate lighter than this share of the top is small change. */
    static final Percent SMALL_CHANGE = Percent.of(1);
    /** A plate of this mass or more is a big one: 20 and 25 kg, 45 lb. */
    static final Mass BIG_PLATE = Mass.ofKg(20);

    static final int BEYOND_THE_FEWEST = 2;
    static final int BEYOND_THE_LEAST = 2;
    /** So many plates a side coming off at once for a larger one are a swap; anything else is stripping. */
    static final int SWAPPED_AT_ONCE = 2;

    /** Where the warm-ups of fixed pieces are looked for. */
    static final List<Percent> SHARES_OF_PIECES = List.of(Percent.of(50), Percent.of(70), Percent.of(85));

    static final long BROKEN_RULE = 1_000_000_000_000L;
    static final long STRIP = 10_000_000_000L;
    static final long SMALL_PLATE = 1_000_000_000;
    static final long LATE_SHRINKING = 100_000_000;
    /** From this cost on a ramp gives way in more than where its last warm-up lies. */
    static final long GIVING_WAY = LATE_SHRINKING;

    static final long LAST_WIDE = 20_000;

    static final long SET = 10_000;
    static final long PLATE = 3_000;
    static final long SWAP = 12_000;
    static final long EXTRA = 5_000;
    /** Where 45s alone make a top in pounds, or full-size discs a pull, a bar full of smaller ones costs more. */
    static final long EXTRA_FOR_BIG_ONES = 60_000;

    static final long NOT_A_BIG_PLATE = 60_000;
    static final long LATE_START = 5_000;
    static final long GROWING_STEP = 40_000;

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
