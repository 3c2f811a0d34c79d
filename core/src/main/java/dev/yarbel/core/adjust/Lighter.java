package dev.yarbel.core.adjust;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * Even the hardest top set rated a point or more below its target, and the estimate bears it out: the working max rises from the
 * next session on, by 2.5 % at most and 5 % in a novice's first month (common practice, no source).
 */
final class Lighter implements CallRule {

    /** Less than this above the working max, the estimate bears nothing out; a starting value of ours. */
    private static final Percent LEAST = Percent.of(1);

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
        Optional<Mass> now = subject.known().workingMax();
        Optional<Mass> target = subject.known().target();
        if (subject.session().isEasy()
                || light.isEmpty()
                || now.isEmpty()
                || target.filter(t -> t.minus(now.get()).isGreaterThan(now.get().times(LEAST)))
                        .isEmpty()) {
            return List.of();
        }
        return TowardEstimate.step(subject, now.get())
                .map(step -> Finding.of(
                        this,
                        new Evidence.Sets(List.of(light.get())),
                        TowardEstimate.move(subject, now.get(), target.get(), step)))
                .stream()
                .toList();
    }
}
