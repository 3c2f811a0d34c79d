package dev.yarbel.core.adjust;

import java.math.BigDecimal;
import java.util.List;

/** Other kit was worn than planned, and nobody said a word of it: such sets are told apart, and compared with their like only. */
final class KitChanged implements CallRule {

    @Override
    public String key() {
        return "kit-changed";
    }

    @Override
    public Urgency urgency() {
        return Urgency.NEWS;
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        List<SeenSet> changed = subject.work().stream()
                .filter(set -> set.set().details().worn().isPresent()
                        && set.set().details().note().isEmpty()
                        && set.asked().isPresent())
                .toList();
        return changed.isEmpty()
                ? List.of()
                : List.of(Finding.of(this, new Evidence.Sets(changed), new Hold(subject.lift())));
    }
}
