package dev.yarbel.core.adjust;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * A rule of judgement: it looks at a lifter in a lift after a session and says what it finds, with a proposal. It may propose
 * a rise without asking for pain; {@link Calls} asks for all rules at once.
 */
public interface CallRule {

    /** What a rule looks at. */
    enum Scope {
        /** A lift after a session. */
        LIFT,
        /** All of a lifter's training after a session. */
        TRAINING,
        /** A contest that a plan leads to, whatever was lifted. */
        CONTEST
    }

    /** What it is kept under and its words are found by: lower case with hyphens, never changed. */
    String key();

    /** How its findings weigh against those of others. */
    Urgency urgency();

    /** Where it begins to speak; empty where there is no figure to it. */
    default Optional<Threshold> threshold() {
        return Optional.empty();
    }

    /** Whether there is nothing to decide about what it finds: it is only to be known. */
    default boolean isQuiet() {
        return urgency() == Urgency.NEWS;
    }

    /** What it looks at. */
    default Scope scope() {
        return Scope.LIFT;
    }

    /** Whether a coach may switch it off. */
    default boolean isSwitchable() {
        return true;
    }

    /** What is said beside whatever it finds. */
    default Optional<Care> care() {
        return Optional.empty();
    }

    /**
     * Whether it finds the same again after every session, as long as nobody changed anything; else each session is evidence of its
     * own.
     */
    default boolean isStanding() {
        return false;
    }

    /**
     * What it finds, most important first; nothing where it knows too little to speak.
     *
     * @param threshold from where on it speaks, in the unit of {@link #threshold()}
     */
    List<Finding> look(Subject subject, BigDecimal threshold);
}
