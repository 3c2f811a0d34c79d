package dev.yarbel.core.clip;

import dev.yarbel.core.record.RepsSeen;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What somebody marked in a film while they looked at it.
 *
 * @param reps each repetition, in the order of time
 * @param slowest where the bar is slowest, in thousandths of a second from the beginning; empty where that was not marked
 */
public record RepMarks(List<Mark> reps, OptionalInt slowest) {

    /** Nothing was marked. */
    public static final RepMarks NONE = new RepMarks(List.of(), OptionalInt.empty());

    /** More than anybody makes in a set that is filmed. */
    public static final int MOST = 100;

    private static final String SLOWEST = "slowest";

    /**
     * A repetition.
     *
     * @param millis from the beginning of the film
     * @param broken whether it fell short of the checklist
     */
    public record Mark(int millis, boolean broken) {

        public Mark {
            if (millis < 0) {
                throw new IllegalArgumentException("a film begins at nothing");
            }
        }

        @Override
        public String toString() {
            return millis + (broken ? " broken" : " clean");
        }
    }

    public RepMarks {
        reps = reps.stream().sorted(Comparator.comparingInt(Mark::millis)).toList();
        if (reps.size() > MOST) {
            throw new IllegalArgumentException("up to " + MOST + " repetitions");
        }
    }

    /**
     * Reads what {@link #toString} writes: {@code 1200 clean, 3400 broken, 2900 slowest}.
     *
     * @throws IllegalArgumentException when it is something else
     */
    public static RepMarks parse(String text) {
        List<Mark> reps = new ArrayList<>();
        OptionalInt slowest = OptionalInt.empty();
        for (String one : text.strip().split("\\s*,\\s*")) {
            if (one.isEmpty()) {
                continue;
            }
            if (!one.matches("\\d{1,7} (clean|broken|slowest)")) {
                throw new IllegalArgumentException("not a mark: " + one);
            }
            int millis = Integer.parseInt(one.substring(0, one.indexOf(' ')));
            if (one.endsWith(SLOWEST)) {
                slowest = OptionalInt.of(millis);
            } else {
                reps.add(new Mark(millis, one.endsWith("broken")));
            }
        }
        return new RepMarks(reps, slowest);
    }

    /**
     * What they say of a set of so many repetitions: those that broke; that all were clean only where all were looked at.
     *
     * @throws IllegalArgumentException when more are marked than were made
     */
    public Optional<RepsSeen> seen(int made) {
        if (reps.size() > made) {
            throw new IllegalArgumentException("more repetitions are marked than were made");
        }
        List<Integer> broken = IntStream.range(0, reps.size())
                .filter(at -> reps.get(at).broken)
                .mapToObj(at -> at + 1)
                .toList();
        return broken.isEmpty() && (reps.isEmpty() || reps.size() < made)
                ? Optional.empty()
                : Optional.of(RepsSeen.broken(broken));
    }

    @Override
    public String toString() {
        return Stream.concat(
                        reps.stream().map(Mark::toString), slowest.stream().mapToObj(millis -> millis + " " + SLOWEST))
                .collect(Collectors.joining(", "));
    }
}
