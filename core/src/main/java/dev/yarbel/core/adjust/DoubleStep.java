package dev.yarbel.core.adjust;

import dev.yarbel.core.progress.Step;
import java.math.BigDecimal;
import java.util.List;
import java.util.Set;

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
        return FollowLaw.told(this, subject, Set.of(Step.Answer.ADD_DOUBLE));
    }
}
