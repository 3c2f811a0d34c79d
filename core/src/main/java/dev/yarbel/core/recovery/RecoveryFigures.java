package dev.yarbel.core.recovery;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Stream;

/**
 * How long lifts need until they can be trained hard again, and how much of one another feels. All are starting values (common practice,
 * no source): a family that is not named takes {@link #ELSE} hours.
 *
 * @param hours of each family from a hard day to the next one
 * @param likeness the share of the wake of a family, first, that another one feels
 */
public record RecoveryFigures(Map<Lift, Integer> hours, Map<Pair, Percent> likeness) {

    /** Assistance that stands alone; a starting value of ours. */
    public static final int ELSE = 48;

    /** Two families, the one that was trained first. */
    public record Pair(Lift first, Lift then) {}

    /** As nobody set them. */
    public static final RecoveryFigures START = start();

    public RecoveryFigures {
        hours = Map.copyOf(hours);
        likeness = Map.copyOf(likeness);
    }

    private static RecoveryFigures start() {
        Map<Lift, Integer> hours = new HashMap<>();
        hours.put(Lift.OVERHEAD_PRESS, 60);
        hours.put(Lift.BENCH_PRESS, 60);
        hours.put(Lift.SQUAT, 84);
        hours.put(Lift.DEADLIFT, 120);
        hours.put(new Lift("log-press"), 72);
        Map<Pair, Percent> alike = new HashMap<>();
        both(alike, Lift.SQUAT, Lift.DEADLIFT, 60);
        both(alike, Lift.OVERHEAD_PRESS, Lift.BENCH_PRESS, 60);
        one(alike, Lift.SQUAT, Lift.BENCH_PRESS, 20);
        Stream.of("barbell-row", "dumbbell-row", "cable-row")
                .map(Lift::new)
                .forEach(row -> one(alike, Lift.DEADLIFT, row, 40));
        Stream.of(
                        "yoke-walk",
                        "farmers-walk",
                        "frame-carry",
                        "sandbag-carry",
                        "keg-carry",
                        "stone-to-platform",
                        "stone-over-bar",
                        "sandbag-to-platform")
                .map(Lift::new)
                .forEach(event -> {
                    hours.put(event, 96);
                    one(alike, event, Lift.DEADLIFT, 70);
                    one(alike, event, Lift.SQUAT, 50);
                });
        return new RecoveryFigures(hours, alike);
    }

    private static void both(Map<Pair, Percent> alike, Lift first, Lift then, long percent) {
        one(alike, first, then, percent);
        one(alike, then, first, percent);
    }

    private static void one(Map<Pair, Percent> alike, Lift first, Lift then, long percent) {
        alike.put(new Pair(first, then), Percent.of(percent));
    }

    /** The hours of a lift: its own where it has some, else its family's. */
    int hours(Lift lift, Lift root) {
        return hours.getOrDefault(lift, hours.getOrDefault(root, ELSE));
    }

    /** How much of the wake of a family another one feels; all of its own, nothing of one that is not alike. */
    Percent likeness(Lift first, Lift then) {
        return first.equals(then) ? Percent.HUNDRED : likeness.getOrDefault(new Pair(first, then), Percent.ZERO);
    }
}
