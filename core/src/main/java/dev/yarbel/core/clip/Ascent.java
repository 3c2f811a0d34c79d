package dev.yarbel.core.clip;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A way up.
 *
 * @param start when the bar becomes faster than what counts as moving
 * @param end when it is slower again
 * @param way all that was seen in between
 */
record Ascent(Moment start, Moment end, List<Moment> way) {

    /** How long a bar may stand on its way up, in seconds, and how far it may sink there, in metres; starting values of ours. */
    private static final double STANDS = 1.5;

    private static final double SINKS = 0.03;
    /** What goes up less than this is a tremble; a starting value of ours. */
    private static final double TREMBLES = 0.02;
    /** By so much of its mean speed a bar is faster before and after where it sticks; a starting value of ours. */
    private static final double STICKS = 0.15;

    /** The ways up of a run during which the bar was never out of sight; one that began or ended outside of it is none. */
    static List<Ascent> of(List<Moment> run) {
        List<Ascent> found = new ArrayList<>();
        int until = 0;
        for (int from = next(run, 0, true); from < run.size(); from = next(run, until, true)) {
            until = next(run, from, false);
            if (from > 0 && until < run.size()) {
                Ascent next = new Ascent(
                        run.get(from - 1).passing(BarPath.MOVES, run.get(from)),
                        run.get(until - 1).passing(BarPath.MOVES, run.get(until)),
                        run.subList(from, until));
                Ascent last = found.isEmpty() ? null : found.get(found.size() - 1);
                if (next.range() < TREMBLES) {
                    continue;
                }
                if (last != null && last.goesOn(next.start, run)) {
                    found.set(found.size() - 1, last.until(next.end, run, until));
                } else {
                    found.add(next);
                }
            }
        }
        return found;
    }

    private static int next(List<Moment> run, int from, boolean moves) {
        int at = from;
        while (at < run.size() && run.get(at).speed() > BarPath.MOVES != moves) {
            at++;
        }
        return at;
    }

    /** A bar that stands for a moment half-way up is still on its way. */
    private boolean goesOn(Moment later, List<Moment> run) {
        return later.second() - end.second() < STANDS
                && run.stream()
                        .filter(one -> one.second() > end.second() && one.second() < later.second())
                        .allMatch(one -> one.height() > end.height() - SINKS);
    }

    private Ascent until(Moment later, List<Moment> run, int until) {
        int from = run.indexOf(way.get(0));
        return new Ascent(start, later, run.subList(from, until));
    }

    /** In metres. */
    double range() {
        return end.height() - start.height();
    }

    /** In seconds. */
    double lasts() {
        return end.second() - start.second();
    }

    /** In metres a second. */
    double speed() {
        return range() / lasts();
    }

    /** How far it strays sideways, in metres. */
    double drift() {
        double left = way.stream().mapToDouble(Moment::across).min().orElse(0);
        return way.stream().mapToDouble(Moment::across).max().orElse(left) - left;
    }

    /**
     * Where it is slowest between two faster parts: the end of the sticking region (van den Tillaar and Ettema 2010, J Sports Sci 28). A way up that
     * quickens and slows once has none.
     */
    Optional<BarPath.Slowest> slowest() {
        Moment slowest = null;
        double least = STICKS * speed();
        for (int at = 1; at < way.size() - 1; at++) {
            Moment here = way.get(at);
            if ((slowest == null || here.speed() < slowest.speed())
                    && fastest(0, at) > here.speed() + least
                    && fastest(at + 1, way.size()) > here.speed() + least) {
                slowest = here;
            }
        }
        return Optional.ofNullable(slowest)
                .map(moment -> new BarPath.Slowest(
                        moment.millis(),
                        (int) Math.round(1000 * moment.speed()),
                        (moment.height() - start.height()) / range()));
    }

    private double fastest(int from, int until) {
        return way.subList(from, until).stream()
                .mapToDouble(Moment::speed)
                .max()
                .orElse(0);
    }
}
