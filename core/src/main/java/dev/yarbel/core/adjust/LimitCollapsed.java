package dev.yarbel.core.adjust;

import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.measure.Mass;
import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A set to the limit came to half of what the day's top promised or less, and to three repetitions fewer (common practice, no
 * source; the figures are ours): a sign of fatigue, not of a lower max. Everything is held.
 */
final class LimitCollapsed implements CallRule {

    private static final Threshold REPS = Threshold.of("3", "2", "2", "8", Threshold.Unit.REPS);
    private static final int MOST_REPS = 12;

    @Override
    public String key() {
        return "limit-collapsed";
    }

    @Override
    public Urgency urgency() {
        return Urgency.OFF_TARGET;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(REPS);
    }

    @Override
    public Optional<Care> care() {
        return Optional.of(Care.SPOTTERS);
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        List<SeenSet> work = subject.work();
        Optional<SeenSet> top = work.stream()
                .filter(set -> set.set().made()
                        && set.set().repsThatEstimate().isPresent()
                        && set.asked()
                                .filter(asked -> asked.part().isTop()
                                        && !asked.part().work().isToLimit())
                                .isPresent())
                .max(Comparator.comparing(set -> set.set().load()));
        return top
                .flatMap(best -> work.stream()
                        .filter(set -> set.asked()
                                        .filter(a -> a.part().work().isToLimit())
                                        .isPresent()
                                && !set.isExcused()
                                && set.set().details().helped() == 0)
                        .flatMap(set -> collapsed(subject, best, set, threshold).stream())
                        .findFirst())
                .map(seen -> Finding.of(this, seen, new Hold(subject.lift())))
                .stream()
                .toList();
    }

    private static Optional<Evidence.Collapsed> collapsed(
            Subject subject, SeenSet top, SeenSet limit, BigDecimal threshold) {
        var curve = subject.numbers().curve();
        Mass max = curve.max(top.set().load(), top.set().repsThatEstimate().orElseThrow());
        int expected = 0;
        while (expected < MOST_REPS
                && !max.times(curve.share(RepsInAll.toTheLimit(expected + 1)))
                        .isLessThan(limit.set().load())) {
            expected++;
        }
        int made = limit.set().reps();
        return 2 * made <= expected
                        && BigDecimal.valueOf(expected - (long) made).compareTo(threshold) >= 0
                ? Optional.of(new Evidence.Collapsed(top, limit, expected))
                : Optional.empty();
    }
}
