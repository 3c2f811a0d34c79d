package dev.yarbel.core.adjust;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * Top sets rated a point or more above their targets in two sessions of the lift in a row: 2.5 to 5 % lighter, as far as the
 * estimate says (common practice, no source).
 */
final class HardAgain implements CallRule {

    @Override
    public String key() {
        return "hard-again";
    }

    @Override
    public Urgency urgency() {
        return Urgency.OFF_TARGET;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(OffTarget.POINT);
    }

    @Override
    public Optional<Care> care() {
        return Optional.of(Care.SPOTTERS);
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        Optional<SeenSet> now = OffTarget.over(subject.work(), subject.numbers(), threshold);
        Optional<SeenSet> before = subject.last()
                .flatMap(session -> OffTarget.over(session.work(subject.lift()), subject.numbers(), threshold));
        return now.isPresent() && before.isPresent()
                ? List.of(Finding.of(
                        this, new Evidence.Sets(List.of(before.get(), now.get())), TowardEstimate.lower(subject)))
                : List.of();
    }
}
