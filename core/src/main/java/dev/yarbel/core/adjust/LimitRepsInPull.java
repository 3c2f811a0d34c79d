package dev.yarbel.core.adjust;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * Four repetitions or more of a pull from the floor went to the limit: they cost much, flatter the single, and backs give way in
 * them (common practice, no source).
 */
final class LimitRepsInPull implements CallRule {

    private static final Threshold REPS = Threshold.of("4", "2", "3", "10", Threshold.Unit.REPS);

    @Override
    public String key() {
        return "limit-reps-in-pull";
    }

    @Override
    public Urgency urgency() {
        return Urgency.NEWS;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(REPS);
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        List<SeenSet> sets = subject.plan().resolver().catalogue().repsFlatterTheSingle(subject.lift())
                ? subject.work().stream()
                        .filter(set -> set.isToTheLimit()
                                && BigDecimal.valueOf(set.set().reps()).compareTo(threshold) >= 0)
                        .toList()
                : List.of();
        return sets.isEmpty()
                ? List.of()
                : List.of(Finding.of(this, new Evidence.Sets(sets), new Hold(subject.lift())));
    }
}
