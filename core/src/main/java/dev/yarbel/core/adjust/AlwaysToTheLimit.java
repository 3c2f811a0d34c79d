package dev.yarbel.core.adjust;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * In three sessions of the lift in a row a set went to the limit that was not asked to (common practice, no source; the number is
 * ours). Fatigue grows faster than strength so; the loads stay, and the lifter is spoken to.
 */
final class AlwaysToTheLimit implements CallRule {

    private static final Threshold SESSIONS = Threshold.of("3", "2", "2", "6", Threshold.Unit.SESSIONS);

    @Override
    public String key() {
        return "always-to-the-limit";
    }

    @Override
    public Urgency urgency() {
        return Urgency.OFF_TARGET;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(SESSIONS);
    }

    @Override
    public Optional<Care> care() {
        return Optional.of(Care.SPOTTERS);
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        List<SeenSet> seen = new ArrayList<>();
        List<SeenSession> newestFirst = new ArrayList<>(List.of(subject.session()));
        newestFirst.addAll(subject.inARow());
        for (SeenSession session : newestFirst) {
            Optional<SeenSet> limit = session.work(subject.lift()).stream()
                    .filter(set -> set.isToTheLimit() && !set.limitWasAsked())
                    .findFirst();
            if (limit.isEmpty()) {
                break;
            }
            seen.add(0, limit.get());
        }
        return BigDecimal.valueOf(seen.size()).compareTo(threshold) >= 0
                ? List.of(Finding.of(this, new Evidence.Sets(seen), new Hold(subject.lift())))
                : List.of();
    }
}
