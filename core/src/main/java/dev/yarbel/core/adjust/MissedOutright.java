package dev.yarbel.core.adjust;

import dev.yarbel.core.adjust.AskLifter.Asking;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * Three repetitions or more were planned and none was made: that says more of the day than of the max. The reason is found first,
 * everything else stays (common practice, no source).
 */
final class MissedOutright implements CallRule {

    private static final Threshold PLANNED = Threshold.of("3", "2", "2", "8", Threshold.Unit.REPS);

    @Override
    public String key() {
        return "missed-outright";
    }

    @Override
    public Urgency urgency() {
        return Urgency.MISSED;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(PLANNED);
    }

    @Override
    public Optional<Care> care() {
        return Optional.of(Care.SPOTTERS);
    }

    /** Nobody is asked who said why. */
    private static Proposal proposal(Subject subject, List<SeenSet> none) {
        return none.stream()
                .filter(set -> set.set().details().missedBy().isEmpty())
                .findFirst()
                .<Proposal>map(set -> new AskLifter(subject.lift(), Asking.WHAT_HAPPENED, set))
                .orElseGet(() -> new Hold(subject.lift()));
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        List<SeenSet> none = subject.work().stream()
                .filter(set -> !set.set().made()
                        && set.set().reps() == 0
                        && BigDecimal.valueOf(set.missing()).compareTo(threshold) >= 0)
                .toList();
        return none.isEmpty() ? List.of() : List.of(Finding.of(this, new Evidence.Sets(none), proposal(subject, none)));
    }
}
