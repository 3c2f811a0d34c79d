package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.CallRule;
import dev.yarbel.core.adjust.Threshold;
import dev.yarbel.core.adjust.Urgency;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * A rule as its page shows it.
 *
 * @param on whether it is asked
 * @param threshold empty for a rule without one
 * @param left how often in a row what it found was left
 */
record RuleLine(String key, Urgency urgency, boolean switchable, boolean on, Optional<Figure> threshold, int left) {

    /**
     * From where on it speaks.
     *
     * @param now where it stands
     */
    record Figure(BigDecimal now, Threshold of) {

        /** Where it stands, with a point. */
        public String text() {
            return now.stripTrailingZeros().toPlainString();
        }

        /** Whether it stands elsewhere than it usually does. */
        public boolean isMoved() {
            return now.compareTo(of.usual()) != 0;
        }
    }

    static RuleLine of(CallRule rule, boolean on, BigDecimal threshold, int left) {
        return new RuleLine(
                rule.key(),
                rule.urgency(),
                rule.isSwitchable(),
                on,
                rule.threshold().map(of -> new Figure(threshold, of)),
                left);
    }

    /** Whether anything of it is otherwise than it comes. */
    public boolean isTouched() {
        return !on || threshold.filter(Figure::isMoved).isPresent();
    }
}
