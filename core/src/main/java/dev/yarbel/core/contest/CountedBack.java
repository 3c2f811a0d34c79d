package dev.yarbel.core.contest;

import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.ramp.RampStep;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * A warm-up counted back from an attempt: the last set four minutes before it, within the usual three to five (common practice, no source), the
 * others two to three minutes apart, more the heavier they are (ours). Where time is short the sets move closer together, to a minute and a
 * half; where that is not enough, light ones go, the lightest after the first before the others, and the last one stays.
 *
 * @param sets each with when it is due, in order
 * @param dropped how many of the ramp there is no time for
 * @param squeezed whether they stand closer together than they should
 */
public record CountedBack(List<Due> sets, int dropped, boolean squeezed) {

    /** From the last set to the attempt. */
    static final Duration LAST = Duration.ofMinutes(4);

    private static final Duration HEAVY_GAP = Duration.ofMinutes(3);
    private static final Duration MIDDLE_GAP = Duration.ofSeconds(150);
    private static final Duration LIGHT_GAP = Duration.ofMinutes(2);
    private static final Duration LEAST_GAP = Duration.ofSeconds(90);
    private static final Percent HEAVY = Percent.of(80);
    private static final Percent MIDDLE = Percent.of(60);

    public CountedBack {
        sets = List.copyOf(sets);
    }

    /** A set and when it is due. */
    public record Due(RampStep step, Instant at) {}

    /**
     * @param attempt when the attempt is expected
     * @param now nothing is due before it
     */
    public static CountedBack from(Ramp ramp, Instant attempt, Instant now) {
        List<RampStep> steps = new ArrayList<>(ramp.steps());
        Duration room = Duration.between(now, attempt.minus(LAST));
        while (!steps.isEmpty() && LEAST_GAP.multipliedBy(steps.size() - 1L).compareTo(room) > 0) {
            // the first set is a bare or light bar that nobody should go without; the last one leads to the opener
            steps.remove(steps.size() > 2 ? 1 : 0);
        }
        int dropped = ramp.steps().size() - steps.size();
        Duration wanted = Duration.ZERO;
        for (int i = 0; i + 1 < steps.size(); i++) {
            wanted = wanted.plus(gap(ramp, steps.get(i)));
        }
        boolean squeezed = wanted.compareTo(room) > 0;
        List<Due> sets = new ArrayList<>();
        Instant at = attempt.minus(LAST);
        for (int i = steps.size() - 1; i >= 0; i--) {
            sets.add(0, new Due(steps.get(i), at));
            if (i > 0) {
                Duration gap = gap(ramp, steps.get(i - 1));
                at = at.minus(squeezed ? squeezed(gap, wanted, room, steps.size() - 1) : gap);
            }
        }
        return new CountedBack(sets, dropped, squeezed);
    }

    /** Each gap gives up the same share of what it has beyond the least. */
    private static Duration squeezed(Duration gap, Duration wanted, Duration room, int gaps) {
        Duration least = LEAST_GAP.multipliedBy(gaps);
        double share =
                (double) room.minus(least).toMillis() / wanted.minus(least).toMillis();
        return LEAST_GAP.plusMillis(Math.round(gap.minus(LEAST_GAP).toMillis() * share));
    }

    private static Duration gap(Ramp ramp, RampStep after) {
        Percent share = after.load().percentOf(ramp.top().total());
        return share.isLessThan(MIDDLE) ? LIGHT_GAP : share.isLessThan(HEAVY) ? MIDDLE_GAP : HEAVY_GAP;
    }
}
