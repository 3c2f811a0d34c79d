package dev.yarbel.core.lifter;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The answers to the health questions and what became of them.
 *
 * @param answers yes or no for each question that was answered
 * @param clearedBy the professional who cleared the lifter after the last answer; empty while nobody has
 */
public record HealthCheck(Map<HealthQuestion, Boolean> answers, Optional<String> clearedBy) {

    /** Nothing was asked yet. */
    public static final HealthCheck NOT_ASKED = new HealthCheck(Map.of(), Optional.empty());

    /** Where the check stands. */
    public enum State {
        /** Some question has no answer yet. */
        OPEN,
        /** Every answer is no. */
        CLEAR,
        /** A yes that no professional has cleared: a caution wherever the lifter trains. */
        NEEDS_CLEARANCE,
        /** A yes that a professional has cleared. */
        CLEARED
    }

    public HealthCheck {
        answers = Map.copyOf(answers);
    }

    /** The questions answered with yes. */
    public Set<HealthQuestion> yes() {
        Set<HealthQuestion> yes = EnumSet.noneOf(HealthQuestion.class);
        answers.forEach((question, answer) -> {
            if (answer) {
                yes.add(question);
            }
        });
        return yes;
    }

    /** A yes outweighs questions still open: the caution stands from the first yes on. */
    public State state() {
        if (!yes().isEmpty()) {
            return clearedBy.isPresent() ? State.CLEARED : State.NEEDS_CLEARANCE;
        }
        return answers.size() < HealthQuestion.values().length ? State.OPEN : State.CLEAR;
    }

    /** The same with one answer given anew. A new yes takes back an earlier clearance, which did not know of it. */
    public HealthCheck answered(HealthQuestion question, boolean answer) {
        Map<HealthQuestion, Boolean> changed = new EnumMap<>(HealthQuestion.class);
        changed.putAll(answers);
        Boolean before = changed.put(question, answer);
        boolean newYes = answer && !Boolean.TRUE.equals(before);
        return new HealthCheck(changed, newYes ? Optional.empty() : clearedBy);
    }
}
