package dev.yarbel.core.adjust;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Repetitions were missed for want of strength or technique in a dose that no law answers. Once: everything is held. In two
 * sessions of the lift in a row: 2.5 to 5 % lighter (common practice, no source).
 */
final class MissedReps implements CallRule {

    private static final Threshold REPS = Threshold.of("1", "1", "1", "5", Threshold.Unit.REPS);

    @Override
    public String key() {
        return "missed-reps";
    }

    @Override
    public Urgency urgency() {
        return Urgency.MISSED;
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
        List<SeenSet> now = missed(subject.work());
        if (isBelow(now, threshold)) {
            return List.of();
        }
        List<SeenSet> before = subject.last()
                .map(session -> missed(session.work(subject.lift())))
                .orElse(List.of());
        boolean again = !isBelow(before, threshold);
        return List.of(Finding.of(
                this,
                new Evidence.Sets(
                        again ? Stream.concat(before.stream(), now.stream()).toList() : now),
                again ? TowardEstimate.lower(subject) : new Hold(subject.lift())));
    }

    private static List<SeenSet> missed(List<SeenSet> work) {
        return work.stream()
                .filter(set -> set.isMissed() && set.asked().isPresent() && !set.isOfALaw())
                .toList();
    }

    private static boolean isBelow(List<SeenSet> missed, BigDecimal threshold) {
        int reps = missed.stream().mapToInt(set -> Math.max(1, set.missing())).sum();
        return BigDecimal.valueOf(reps).compareTo(threshold) < 0;
    }
}
