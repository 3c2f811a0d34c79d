package dev.yarbel.core.clip;

import dev.yarbel.core.measure.BarSpeed;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What a bar did in a film: its way, its repetitions and how fast each went up, with what there is to doubt of it.
 *
 * <p>Height and speed at a moment are those of the parabola that fits best what was seen a tenth of a second before and after it (Savitzky
 * and Golay 1964, Anal Chem 36). A repetition goes up from where the bar becomes faster than {@value #MOVES} m/s until it is slower
 * (common practice of measuring devices, no source); its speed is its way divided by that time.
 *
 * @param points where the bar was followed, smoothed
 * @param reps in their order; one during which the bar was lost is not among them
 * @param doubts why none of it is to be relied on; empty where it is
 */
public record BarPath(List<Point> points, List<Rep> reps, Set<Doubt> doubts) {

    /** Slower than this, in metres a second, a bar stands. */
    public static final double MOVES = 0.05;

    /** Why a path is not to be relied on. */
    public enum Doubt {
        /** The bar could not be followed all the time. */
        LOST,
        /** Whoever filmed did not hold still. */
        SHAKY,
        /** What was followed hardly looks like what was marked: dark, blurred or turned. */
        FAINT,
        /** Too few pictures a second. */
        SLOW_FILM,
        /** The plate is too small in the picture to measure by. */
        SMALL
    }

    /**
     * A moment of the way.
     *
     * @param millis from the beginning of the film
     * @param x in pixels from the left
     * @param y in pixels from the top
     * @param speed upward, in metres a second
     */
    public record Point(int millis, double x, double y, double speed) {}

    /**
     * A repetition's way up.
     *
     * @param number from 1
     * @param fromMillis when it starts
     * @param untilMillis when it ends
     * @param speed its mean
     * @param give how far that may be off, in millimetres a second
     * @param range in metres
     * @param drift how far the bar strayed sideways, in metres, from its leftmost to its rightmost place
     * @param slowest where it was slowest between two faster parts; empty where it has but one
     */
    public record Rep(
            int number,
            int fromMillis,
            int untilMillis,
            BarSpeed speed,
            int give,
            double range,
            double drift,
            Optional<Slowest> slowest) {}

    /**
     * Where a repetition sticks.
     *
     * @param millis from the beginning of the film
     * @param millimetres a second; below nothing where the bar sank
     * @param height above where the way up starts, as a share of its range
     */
    public record Slowest(int millis, int millimetres, double height) {}

    public BarPath {
        points = List.copyOf(points);
        reps = List.copyOf(reps);
        doubts = Collections.unmodifiableSet(doubts.isEmpty() ? EnumSet.noneOf(Doubt.class) : EnumSet.copyOf(doubts));
    }

    /** The speed of the last repetition where the film is to be relied on and shows as many as were made. */
    public Optional<BarSpeed> speedOfTheLast(int made) {
        return doubts.isEmpty() && !reps.isEmpty() && reps.size() == made
                ? Optional.of(reps.get(reps.size() - 1).speed)
                : Optional.empty();
    }

    /** What a track shows. */
    public static BarPath of(BarTrack track) {
        return new PathReader(track).path();
    }
}
