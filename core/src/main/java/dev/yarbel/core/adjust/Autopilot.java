package dev.yarbel.core.adjust;

import dev.yarbel.core.measure.Percent;
import java.util.Set;

/**
 * What may be done without asking, where a coach lets a lifter's small changes be: a working max that ratings or the estimate
 * move by 2.5 % at most. Doses that are rewritten wait: rounded to plates they may move by more. Anything with pain, an ache, a
 * miss or a doubtful log waits for the coach, however small.
 */
public final class Autopilot {

    static final Percent MOST = Percent.of("2.5");

    private static final Set<Urgency> ITS_OWN = Set.of(Urgency.OFF_TARGET, Urgency.APART);

    private Autopilot() {}

    /**
     * Whether a finding may be acted on without asking.
     *
     * @param subject what it was found in
     */
    public static boolean takes(Finding finding, Subject subject) {
        return Calls.rule(finding.rule())
                        .filter(rule -> !rule.isQuiet() && ITS_OWN.contains(rule.urgency()))
                        .isPresent()
                && finding.proposal().isSmall()
                && !subject.hurts()
                && subject.work().stream().allMatch(set -> set.set().made());
    }
}
