package dev.yarbel.core.recovery;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * How long lifts need until they can be trained hard again, and how much of one another feels. Those of {@link #START} are starting values (common practice,
 * no source): a family that is not named takes {@link #ELSE} hours. A club and a lifter's coach may set others, see {@link #with} and {@link #ownedBy}.
 *
 * @param hours of each family, or of a lift that has some of its own, from a hard day to the next one
 * @param likeness the share of the wake of a family, first, that another one feels
 * @param own lifts whose hours are this very lifter's, so that nothing of who they are makes them longer or shorter again
 */
public record RecoveryFigures(Map<Lift, Integer> hours, Map<Pair, Percent> likeness, Set<Lift> own) {

    /** Assistance that stands alone; a starting value of ours. */
    public static final int ELSE = 48;
    /** The fewest hours that can be set. */
    public static final int LEAST = 12;
    /** The most hours that can be set: the very strong pull every two weeks, and half as long again. */
    public static final int MOST = 504;

    /** Two families, the one that was trained first. */
    public record Pair(Lift first, Lift then) {}

    /** As nobody set them. */
    public static final RecoveryFigures START = start();

    public RecoveryFigures {
        hours = Map.copyOf(hours);
        likeness = Map.copyOf(likeness);
        own = Set.copyOf(own);
        if (hours.values().stream().anyMatch(each -> each < LEAST || each > MOST)) {
            throw new IllegalArgumentException(LEAST + " to " + MOST + " hours");
        }
    }

    /** The same with some figures set otherwise. */
    public RecoveryFigures with(Map<Lift, Integer> setHours, Map<Pair, Percent> setLikeness) {
        Map<Lift, Integer> all = new HashMap<>(hours);
        all.putAll(setHours);
        Map<Pair, Percent> alike = new HashMap<>(likeness);
        alike.putAll(setLikeness);
        return new RecoveryFigures(all, alike, own);
    }

    /** The same with some figures that were set for, or learnt of, this very lifter. */
    public RecoveryFigures ownedBy(Map<Lift, Integer> setHours, Map<Pair, Percent> setLikeness) {
        RecoveryFigures all = with(setHours, setLikeness);
        Set<Lift> owned = new HashSet<>(own);
        owned.addAll(setHours.keySet());
        return new RecoveryFigures(all.hours, all.likeness, owned);
    }

    /** Whether the hours of a lift are this very lifter's. */
    boolean isOwn(Lift lift, Lift root) {
        return hours.containsKey(lift) ? own.contains(lift) : own.contains(root);
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
        return new RecoveryFigures(hours, alike, Set.of());
    }

    private static void both(Map<Pair, Percent> alike, Lift first, Lift then, long percent) {
        one(alike, first, then, percent);
        one(alike, then, first, percent);
    }

    private static void one(Map<Pair, Percent> alike, Lift first, Lift then, long percent) {
        alike.put(new Pair(first, then), Percent.of(percent));
    }

    /** The hours of a lift: its own where it has some, else its family's. */
    public int hours(Lift lift, Lift root) {
        return hours.getOrDefault(lift, hours.getOrDefault(root, ELSE));
    }

    /** How much of the wake of a family another one feels; all of its own, nothing of one that is not alike. */
    public Percent likeness(Lift first, Lift then) {
        return first.equals(then) ? Percent.HUNDRED : likeness.getOrDefault(new Pair(first, then), Percent.ZERO);
    }
}
