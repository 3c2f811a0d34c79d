package dev.yarbel.core.adjust;

import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSet;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Sets move well faster than the same load and repetitions did in the lift's last session, no rating speaks against it, and the estimate
 * bears it out: the working max rises as it does after light ratings (common practice, no source; the figure is ours).
 */
final class Faster implements CallRule {

    private static final Threshold HUNDREDTHS = Threshold.of("6", "2", "3", "15", Threshold.Unit.SPEED);
    private static final Percent ALIKE = Percent.of(1);
    private static final int MILLIMETRES = 10;

    @Override
    public String key() {
        return "faster";
    }

    @Override
    public Urgency urgency() {
        return Urgency.OFF_TARGET;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(HUNDREDTHS);
    }

    /** A set and the one before that it is compared with. */
    private record Pair(SeenSet before, SeenSet now) {

        int faster() {
            return speed(now.set()) - speed(before.set());
        }
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        List<SeenSet> before =
                subject.last().map(session -> session.work(subject.lift())).orElse(List.of());
        List<Pair> pairs = subject.work().stream()
                .flatMap(now -> before.stream()
                        .filter(old -> isAlike(old.set(), now.set()))
                        .findFirst()
                        .map(old -> new Pair(old, now))
                        .stream())
                .toList();
        if (pairs.isEmpty()
                || subject.session().isEasy()
                || OffTarget.over(subject.work(), subject.numbers(), BigDecimal.ZERO)
                        .filter(set -> set.halvesOver(subject.numbers()).orElse(0) > 0)
                        .isPresent()) {
            return List.of();
        }
        BigDecimal faster = BigDecimal.valueOf(
                        pairs.stream().mapToInt(Pair::faster).sum())
                .divide(BigDecimal.valueOf((long) pairs.size() * MILLIMETRES), 2, RoundingMode.HALF_UP);
        return faster.compareTo(threshold) < 0
                ? List.of()
                : TowardEstimate.raise(subject)
                        .map(more -> Finding.of(this, new Evidence.Sets(sets(pairs)), more))
                        .stream()
                        .toList();
    }

    private static List<SeenSet> sets(List<Pair> pairs) {
        List<SeenSet> sets = new ArrayList<>();
        pairs.forEach(pair -> sets.add(pair.before()));
        pairs.forEach(pair -> sets.add(pair.now()));
        return sets.stream().distinct().toList();
    }

    private static boolean isAlike(LiftedSet one, LiftedSet other) {
        return one.made()
                && other.made()
                && one.details().speed().isPresent()
                && other.details().speed().isPresent()
                && one.reps() == other.reps()
                && !one.load()
                        .distanceTo(other.load())
                        .isGreaterThan(other.load().times(ALIKE));
    }

    private static int speed(LiftedSet set) {
        return set.details().speed().orElseThrow().millimetres();
    }
}
