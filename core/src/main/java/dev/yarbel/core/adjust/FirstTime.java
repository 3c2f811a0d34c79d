package dev.yarbel.core.adjust;

import dev.yarbel.core.lift.Variation;
import java.math.BigDecimal;
import java.util.List;

/** A variation was done for the first time: it starts light, and its ratio to its parent is learnt from here. */
final class FirstTime implements CallRule {

    @Override
    public String key() {
        return "first-time";
    }

    @Override
    public Urgency urgency() {
        return Urgency.NEWS;
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        Variation variation = subject.plan().resolver().catalogue().of(subject.lift());
        boolean known = subject.known().setDown() || !subject.before().isEmpty();
        return known
                ? List.of()
                : variation
                        .parent()
                        .flatMap(ratio -> subject.work().stream()
                                .findFirst()
                                .map(first ->
                                        Finding.of(this, new Evidence.NewLift(first, ratio), new Hold(subject.lift()))))
                        .stream()
                        .toList();
    }
}
