package dev.yarbel.core.adjust;

import dev.yarbel.core.progress.Step;
import java.math.BigDecimal;
import java.util.List;

/** A plus set went so far that its law adds two steps. */
final class DoubleStep implements CallRule {

    @Override
    public String key() {
        return "double-step";
    }

    @Override
    public Urgency urgency() {
        return Urgency.NEWS;
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        return FollowLaw.of(subject)
                .filter(follow -> follow.step().answer() == Step.Answer.ADD_DOUBLE)
                .map(follow -> Finding.of(
                        this,
                        new Evidence.Sets(subject.work().stream()
                                .filter(SeenSet::isOfALaw)
                                .toList()),
                        follow))
                .stream()
                .toList();
    }
}
