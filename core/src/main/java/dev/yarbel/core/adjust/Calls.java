package dev.yarbel.core.adjust;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** All rules of judgement, asked together. */
public final class Calls {

    /** The rules there are; of those that weigh the same the first speaks first. */
    public static final List<CallRule> RULES = List.of(
            new PainNoted(),
            new AcheCleared(),
            new UnitSlip(),
            new BarLeftOut(),
            new ContestMoved(),
            new BackFromBreak(),
            new MissedOutright(),
            new MissedReps(),
            new LawSetback(),
            new DeloadSuggested(),
            new HardAgain(),
            new LimitCollapsed(),
            new AlwaysToTheLimit(),
            new HardOnce(),
            new Lighter(),
            new Faster(),
            new EstimateApart(),
            new SetsUnlike(),
            new WeakLinkSeen(),
            new LimitRepsInPull(),
            new MissExcused(),
            new DoubleStep(),
            new NewBest(),
            new FirstTime(),
            new BigJump(),
            new KitChanged());

    private final List<CallRule> rules;

    public Calls(List<CallRule> rules) {
        this.rules = List.copyOf(rules);
    }

    /** The rule of a key; empty where there is none, or none any more. */
    public static Optional<CallRule> rule(String key) {
        return RULES.stream().filter(rule -> rule.key().equals(key)).findFirst();
    }

    /**
     * What the rules find, the weightiest first: see {@link Urgency}. The first is what is to be decided; the others are seen beside
     * it. Pain means no rise, whatever a rule proposes: those findings fall away here.
     */
    public List<Finding> look(Subject subject, Tuning tuning) {
        return rules.stream()
                .filter(rule -> tuning.isOn(rule) && rule.scope() == subject.scope())
                .sorted(Comparator.comparing(CallRule::urgency))
                .flatMap(rule -> rule.look(subject, tuning.threshold(rule)).stream())
                .filter(finding -> !subject.hurts() || !finding.proposal().raises())
                .toList();
    }
}
