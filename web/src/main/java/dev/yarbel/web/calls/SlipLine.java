package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.CallRule;
import dev.yarbel.core.adjust.Calls;
import dev.yarbel.core.adjust.Urgency;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.web.page.LifterChooser;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;

/**
 * A slip in the queue, as it was when it was opened.
 *
 * @param rule the key of the rule that gave it
 * @param proposes the name of the kind of what it proposes
 * @param raises whether it proposes that the lifter does more
 * @param size how much it would change
 * @param putOff the day until which it is out of sight
 */
record SlipLine(
        long id,
        LifterChooser.Choice lifter,
        Lift lift,
        Cause cause,
        String rule,
        String proposes,
        boolean raises,
        Percent size,
        Instant openedAt,
        Optional<LocalDate> putOff) {

    /** The weightiest first; of those that weigh the same less before more, and the larger change before the smaller. */
    static final Comparator<SlipLine> BY_URGENCY = Comparator.comparing(SlipLine::urgency)
            .thenComparing(SlipLine::raises)
            .thenComparing(SlipLine::size, Comparator.reverseOrder());

    private static final String LADDER = "return-ladder";
    private static final Set<String> WAYS = Set.of("move-working-max", "next-loads");

    /** A rule that is no more is only to be known. */
    public Urgency urgency() {
        return Calls.rule(rule).map(CallRule::urgency).orElse(Urgency.NEWS);
    }

    /** Whether there is nothing to decide about it. */
    public boolean isQuiet() {
        return Calls.rule(rule).filter(found -> !found.isQuiet()).isEmpty();
    }

    /** The sign it stands under: stop where something hurts, and not where it did; else whether more, less or the same is proposed. */
    public String sign() {
        if (urgency() == Urgency.PAIN && !proposes.equals(LADDER)) {
            return "stop";
        }
        return raises ? "raise" : size.equals(Percent.ZERO) ? "hold" : "lower";
    }

    /** What is proposed, as the code of a word. */
    public String way() {
        return !WAYS.contains(proposes) ? proposes : raises ? "raise" : "lower";
    }
}
