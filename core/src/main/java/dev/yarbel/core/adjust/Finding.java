package dev.yarbel.core.adjust;

/**
 * What a rule found: what was seen, and what it proposes. What it means is told by the rule, see the words under its key.
 *
 * @param rule the key of the rule
 */
public record Finding(String rule, Evidence evidence, Proposal proposal) {

    static Finding of(CallRule rule, Evidence evidence, Proposal proposal) {
        return new Finding(rule.key(), evidence, proposal);
    }
}
