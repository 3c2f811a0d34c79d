package dev.yarbel.core.adjust;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * Even the hardest top set rated a point or more below its target, and the estimate bears it out: the working max rises from the
 * next session on, by 2.5 % at most and 5 % in a novice's first month (common practice, no source).
 */
final class Lighter implements CallRule {

    @Override
    public String key() {
        return "lighter";
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
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        Optional<SeenSet> light = OffTarget.under(subject.work(), subject.numbers(), threshold);
        return light.isEmpty() || subject.session().isEasy()
                ? List.of()
                : TowardEstimate.raise(subject)
                        .map(more -> Finding.of(this, new Evidence.Sets(List.of(light.get())), more))
                        .stream()
                        .toList();
    }
}
