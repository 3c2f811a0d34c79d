package dev.yarbel.core.adjust;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * A top set rated a point or more above its target, once: it is held, not punished; sleep, stress and the order of lifts are
 * looked at (common practice, no source).
 */
final class HardOnce implements CallRule {

    @Override
    public String key() {
        return "hard-once";
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
    public boolean isQuiet() {
        return true;
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        return OffTarget.over(subject.work(), subject.numbers(), threshold)
                .map(set -> Finding.of(this, new Evidence.Sets(List.of(set)), new Hold(subject.lift())))
                .stream()
                .toList();
    }
}
