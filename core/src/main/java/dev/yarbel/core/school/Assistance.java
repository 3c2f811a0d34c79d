package dev.yarbel.core.school;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Table;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** Exercises that help a lift, by what gives way in it: the list that stands in {@code assistance.csv}. */
final class Assistance {

    private static final String FILE = "assistance.csv";
    private static final String EVENTS = "*";
    private static final String NOTHING_SEEN = "-";

    /** An exercise and what it is there for. */
    record Choice(Lift lift, Purpose purpose) {}

    /**
     * A line of the list.
     *
     * @param of the root lift, or a star for every event
     * @param against empty: where nothing was seen
     * @param lifts the first that the gym has the kit for is taken
     */
    record Line(String of, Optional<WeakPoint> against, Purpose purpose, List<Lift> lifts) {}

    private static final List<Line> LINES =
            Table.rows(Assistance.class, FILE).stream().map(Assistance::line).toList();

    private Assistance() {}

    static List<Line> lines() {
        return LINES;
    }

    /**
     * Exercises for a lift: first those that answer its weak point, then the usual ones, each for another purpose.
     *
     * @param root of the lift
     * @param most how many are wanted
     */
    static List<Choice> of(Lift root, Optional<WeakPoint> seen, Predicate<Lift> available, int most) {
        List<Choice> choices = new ArrayList<>();
        Set<Lift> taken = new HashSet<>(Set.of(root));
        Set<Purpose> answered = new HashSet<>();
        Stream<Line> first = seen.stream()
                .flatMap(weak -> linesOf(root).filter(line -> line.against().equals(Optional.of(weak))));
        Stream<Line> usual = linesOf(root).filter(line -> line.against().isEmpty());
        Stream.concat(first, usual).forEach(line -> {
            boolean again = line.against().isEmpty() && answered.contains(line.purpose());
            if (choices.size() < most && !again) {
                line.lifts().stream()
                        .filter(lift -> available.test(lift) && !taken.contains(lift))
                        .findFirst()
                        .ifPresent(lift -> {
                            taken.add(lift);
                            answered.add(line.purpose());
                            choices.add(new Choice(lift, line.purpose()));
                        });
            }
        });
        return choices;
    }

    private static Stream<Line> linesOf(Lift root) {
        boolean listed = LINES.stream().anyMatch(line -> line.of().equals(root.key()));
        return LINES.stream().filter(line -> line.of().equals(listed ? root.key() : EVENTS));
    }

    private static Line line(String[] fields) {
        return new Line(
                fields[0],
                fields[1].equals(NOTHING_SEEN) ? Optional.empty() : Optional.of(WeakPoint.valueOf(fields[1])),
                Purpose.valueOf(fields[2]),
                Stream.of(fields[3].split("\\|")).map(Lift::new).toList());
    }
}
