package dev.yarbel.core.adjust;

import java.util.List;

/** All rules of judgement, asked together. */
public final class Calls {

    /** The rules there are, the most urgent first. */
    public static final List<CallRule> RULES = List.of(new EstimateApart());

    private final List<CallRule> rules;

    public Calls(List<CallRule> rules) {
        this.rules = List.copyOf(rules);
    }

    /**
     * What the rules find, in their order. Pain means no rise, whatever a rule proposes: those findings fall away here.
     */
    public List<Finding> look(Subject subject) {
        return rules.stream()
                .flatMap(rule -> rule.look(subject).stream())
                .filter(finding -> !subject.hurts() || !finding.proposal().raises())
                .toList();
    }
}
