package dev.yarbel.core.clip;

import dev.yarbel.core.clip.BarPath.Doubt;
import dev.yarbel.core.clip.BarTrack.Seen;
import dev.yarbel.core.measure.BarSpeed;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** Reads a track run by run: within one the bar was never out of sight. All thresholds are starting values of ours, set by simulated clips. */
final class PathReader {

    /** What is less alike than this is something else. */
    private static final double ALIKE = 0.6;

    private static final double MOSTLY_ALIKE = 0.8;
    /** What is seen so long before and after a moment makes its place and speed, in seconds: three pictures of a usual film. */
    private static final double AROUND = 0.101;

    private static final int FEWEST = 5;
    /** Pictures further apart than this have nothing to do with each other, in seconds. */
    private static final double GAP = 0.13;

    private static final double SLOWEST_FILM = 0.06;
    private static final double NARROWEST = 30;
    /** How far a plate usually lies off its smooth way where somebody's hand shakes, as a share of its width. */
    private static final double UNSTEADY = 0.008;
    /** A way up is at least so long, in metres, and at least half as long as the longest. */
    private static final double SHORTEST = 0.12;

    private static final double HALF = 0.5;
    /** How closely somebody marks a rim, in pixels. */
    private static final double MARKED = 1.5;

    private final BarTrack track;
    private final double scale;

    PathReader(BarTrack track) {
        this.track = track;
        this.scale = track.rim().metresToAPixel();
    }

    BarPath path() {
        List<List<Moment>> runs = runs().stream()
                .map(this::smoothed)
                .filter(run -> !run.isEmpty())
                .toList();
        List<Moment> all = runs.stream().flatMap(List::stream).toList();
        double unsteadiness = median(all.stream().map(Moment::off).toList());
        List<Ascent> ascents =
                runs.stream().flatMap(run -> Ascent.of(run).stream()).toList();
        double widest = ascents.stream().mapToDouble(Ascent::range).max().orElse(0);
        List<BarPath.Rep> reps = new ArrayList<>();
        for (Ascent ascent : ascents) {
            if (ascent.range() >= Math.max(SHORTEST, HALF * widest)) {
                reps.add(rep(reps.size() + 1, ascent, unsteadiness));
            }
        }
        return new BarPath(all.stream().map(this::point).toList(), reps, doubts(runs, all, unsteadiness));
    }

    private List<List<Seen>> runs() {
        List<List<Seen>> runs = new ArrayList<>();
        List<Seen> run = new ArrayList<>();
        for (Seen one : track.seen()) {
            if (one.likeness() >= ALIKE) {
                if (!run.isEmpty() && seconds(run.get(run.size() - 1), one) > GAP) {
                    runs.add(run);
                    run = new ArrayList<>();
                }
                run.add(one);
            }
        }
        runs.add(run);
        return runs;
    }

    private static double seconds(Seen one, Seen next) {
        return (next.millis() - one.millis()) / 1000.0;
    }

    private Set<Doubt> doubts(List<List<Moment>> runs, List<Moment> all, double unsteadiness) {
        List<Seen> seen = track.seen();
        Set<Doubt> doubts = EnumSet.noneOf(Doubt.class);
        if (runs.size() != 1 || isLostAtAnEnd(all)) {
            doubts.add(Doubt.LOST);
        }
        if (!seen.isEmpty() && median(seen.stream().map(Seen::likeness).toList()) < MOSTLY_ALIKE) {
            doubts.add(Doubt.FAINT);
        }
        if (unsteadiness > UNSTEADY * BarTrack.PLATE) {
            doubts.add(Doubt.SHAKY);
        }
        List<Double> apart = new ArrayList<>();
        for (int at = 1; at < seen.size(); at++) {
            apart.add(seconds(seen.get(at - 1), seen.get(at)));
        }
        if (median(apart) > SLOWEST_FILM) {
            doubts.add(Doubt.SLOW_FILM);
        }
        if (track.rim().width() < NARROWEST) {
            doubts.add(Doubt.SMALL);
        }
        return doubts;
    }

    /** Out of sight at the beginning or the end, which is more than that nobody looked there. */
    private boolean isLostAtAnEnd(List<Moment> all) {
        double first = all.get(0).second() - GAP;
        double last = all.get(all.size() - 1).second() + GAP;
        return track.seen().stream()
                .filter(one -> one.likeness() < ALIKE)
                .anyMatch(one -> one.millis() / 1000.0 < first || one.millis() / 1000.0 > last);
    }

    private static double median(List<Double> figures) {
        return figures.isEmpty() ? 0 : figures.stream().sorted().toList().get(figures.size() / 2);
    }

    private List<Moment> smoothed(List<Seen> run) {
        List<Moment> smooth = new ArrayList<>();
        for (int at = 0; at < run.size(); at++) {
            int middle = at;
            List<Seen> near = run.subList(Math.max(0, at - 12), Math.min(run.size(), at + 13)).stream()
                    .filter(one -> Math.abs(seconds(run.get(middle), one)) <= AROUND)
                    .toList();
            if (near.size() >= FEWEST) {
                double second = run.get(at).millis() / 1000.0;
                double[][] fit = Cubic.through(
                        near.stream()
                                .mapToDouble(one -> one.millis() / 1000.0 - second)
                                .toArray(),
                        near.stream().mapToDouble(one -> one.x() * scale).toArray(),
                        near.stream().mapToDouble(one -> -one.y() * scale).toArray());
                double off = Math.hypot(
                        run.get(at).x() * scale - fit[0][0], -run.get(at).y() * scale - fit[1][0]);
                smooth.add(new Moment(second, fit[0][0], fit[1][0], fit[1][1], off));
            }
        }
        return smooth;
    }

    private BarPath.Point point(Moment moment) {
        return new BarPath.Point(moment.millis(), moment.across() / scale, -moment.height() / scale, moment.speed());
    }

    private BarPath.Rep rep(int number, Ascent ascent, double unsteadiness) {
        List<Seen> seen = track.seen();
        double picture = seconds(seen.get(0), seen.get(seen.size() - 1)) / (seen.size() - 1);
        // independent of each other: the scale, two moments and two places
        double share = Math.sqrt(Math.pow(MARKED / track.rim().width(), 2)
                + 2 * Math.pow(HALF * picture / ascent.lasts(), 2)
                + 2 * Math.pow(unsteadiness / ascent.range(), 2));
        long speed = Math.round(1000 * ascent.speed());
        return new BarPath.Rep(
                number,
                ascent.start().millis(),
                ascent.end().millis(),
                new BarSpeed((int) Math.max(10, Math.min(3000, speed))),
                (int) Math.ceil(share * speed),
                ascent.range(),
                ascent.drift(),
                ascent.slowest());
    }
}
