package dev.yarbel.core.adjust;

import dev.yarbel.core.progress.Step;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The law of a run answers what was missed: the same again, load off, a set dropped, or the wall. The plan does so already; it is
 * told, and the coach may have it otherwise.
 */
final class LawSetback implements CallRule {

    private static final Set<Step.Answer> SETBACKS =
            Set.of(Step.Answer.REPEAT, Step.Answer.RESET, Step.Answer.DROP_SET, Step.Answer.WALL);

    @Override
    public String key() {
        return "law-setback";
    }

    @Override
    public Urgency urgency() {
        return Urgency.MISSED;
    }

    @Override
    public Optional<Care> care() {
        return Optional.of(Care.SPOTTERS);
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        return FollowLaw.told(this, subject, SETBACKS);
    }
}
