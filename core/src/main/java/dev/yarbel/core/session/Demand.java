package dev.yarbel.core.session;

import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Changing;
import dev.yarbel.core.prescription.Manner;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Tempo;
import dev.yarbel.core.prescription.Work;
import java.time.Duration;
import java.util.Optional;

/**
 * What sets take of a lifter beyond plain ones of the same load and repetitions: what chains and bands do to the load, a
 * slow beat, short rests, many sets at one load, and another lift before that used the same muscles. Predictions, loads by a
 * rating and marks all ask here.
 *
 * <p>That each of these counts is common practice, no source; the figures are starting values of ours:
 *
 * <ul>
 *   <li>a beat of more than 3 s a repetition: 1 point lighter for each further second, 5 to 15 in all;
 *   <li>rests under 45 s: 10 points lighter, under 90 s: 5;
 *   <li>after another lift that used the same muscles hard: 2.5 points lighter; all of these together 20 at most;
 *   <li>a fifth of a point on the rating for each set of three repetitions or more after the first: the sixth set of five
 *       rates a point above the first;
 *   <li>a cluster of singles with short rests is as hard as three fifths of them in a row, density work as two fifths of
 *       the goal;
 *   <li>a lifter holds 120 % at the top of a lift of what they lift from the bottom.
 * </ul>
 *
 * @param share of the plain load that is as hard
 * @param halves half repetitions that the last set is harder than the first
 */
public record Demand(Percent share, int halves, Optional<Changing> changing) {

    /** What a lifter holds at the top, as a share of what they lift from the bottom. */
    public static final Percent AT_THE_TOP = Percent.of(120);

    public static final Percent TIRED = Percent.of("2.5");
    public static final Percent LIGHTEST = Percent.of(80);
    private static final int PLAIN_SECONDS = 3;
    private static final int SLOW_LEAST = 5;
    private static final int SLOW_MOST = 15;
    private static final int SHORT_REST = 45;
    private static final int SHORTISH_REST = 90;
    private static final int REPS_THAT_TIRE = 3;
    private static final int MOST_HALVES = 4;

    /** What the sets of a part take. */
    public static Demand of(Prescription prescription) {
        return of(prescription.part(), prescription.tired());
    }

    /** What the sets of a part take at the start of a session. */
    public static Demand of(Part part) {
        return of(part, false);
    }

    private static Demand of(Part part, boolean tired) {
        if (!tired
                && part.tempo().isEmpty()
                && part.rest().isEmpty()
                && part.changing().isEmpty()) {
            return new Demand(Percent.HUNDRED, further(part), Optional.empty());
        }
        Percent off = Percent.of(slow(part) + hurried(part)).plus(tired ? TIRED : Percent.ZERO);
        Percent share = Percent.HUNDRED.minus(off);
        return new Demand(share.isLessThan(LIGHTEST) ? LIGHTEST : share, further(part), part.changing());
    }

    private static int slow(Part part) {
        int over = part.tempo().map(Tempo::seconds).orElse(0) - PLAIN_SECONDS;
        return over <= 0 ? 0 : Math.max(SLOW_LEAST, Math.min(SLOW_MOST, over));
    }

    private static int hurried(Part part) {
        if (part.sets() < 2 || part.is(Manner.SPEED) || !(part.work() instanceof Work.Straight)) {
            return 0;
        }
        long rest = part.rest().map(Duration::toSeconds).orElse((long) SHORTISH_REST);
        return rest < SHORT_REST ? 10 : rest < SHORTISH_REST ? 5 : 0;
    }

    private static int further(Part part) {
        return part.work() instanceof Work.Straight && part.reps() >= REPS_THAT_TIRE && !part.is(Manner.SPEED)
                ? Math.min(MOST_HALVES, (part.sets() - 1) * 2 / 5)
                : 0;
    }

    /** Whether such sets say nothing of the plain lift. */
    public boolean isOfItsOwnKind() {
        return changing.isPresent() || share.isLessThan(Percent.HUNDRED.minus(TIRED));
    }

    /** The plain load that is as hard as so much on the bar, at the point of the lift where that is hardest. */
    public Mass plain(Mass bar) {
        Mass held = changing.map(c -> Mass.max(c.atBottom(bar), c.atTop(bar).asShareOf(AT_THE_TOP)))
                .orElse(bar);
        return share.equals(Percent.HUNDRED) ? held : held.asShareOf(share);
    }

    /** What may be on the bar so that it is no harder than a plain load anywhere in the lift; nothing where that is too much. */
    public Mass bar(Mass plain) {
        Mass held = share.equals(Percent.HUNDRED) ? plain : plain.times(share);
        return changing.map(
                        c -> Mass.max(Mass.ZERO, Mass.min(c.barForBottom(held), c.barForTop(held.times(AT_THE_TOP)))))
                .orElse(held);
    }

    /** The repetitions that the last set amounts to at a rating, as a set of its own. */
    public RepsInAll inAll(Part part, Rpe rpe) {
        return new RepsInAll(halvesOf(part) + rpe.halvesLeft());
    }

    /** The half repetitions done in what the last set amounts to. */
    int halvesOf(Part part) {
        if (part.work() instanceof Work.Clusters clusters) {
            return Math.max(2 * clusters.each(), 2 * clusters.reps() * 3 / 5);
        }
        if (part.work() instanceof Work.Density density) {
            return Math.max(2 * density.reps(), 2 * density.sets() * density.reps() * 2 / 5);
        }
        return 2 * part.reps() + halves;
    }
}
