package dev.yarbel.core.shape;

import java.util.List;

/** Why a row cannot be filled as it was asked. */
public final class FillRefused extends RuntimeException {

    private static final long serialVersionUID = 1;

    /** What does not go. */
    public enum Why {
        /** The rule leads to a percentage, and the dose has none. */
        NO_PERCENTAGE,
        /** The dose has no load, percentage or rating to add to. */
        NOTHING_TO_STEP,
        /** It would lead downward. */
        DOWNWARD,
        /** The steps would be too large; from, to, and how far so many weeks can lead. */
        STEPS_TOO_LARGE,
        /** More than makes sense of what the percentage is of; the reference and its most. */
        BEYOND_REFERENCE,
        /** The first and the last week hang on different numbers, and one of them is not known. */
        NUMBER_MISSING
    }

    private final Why why;
    private final transient List<Object> facts;

    FillRefused(Why why, Object... facts) {
        super(why.name(), null, false, false);
        this.why = why;
        this.facts = List.of(facts);
    }

    public Why why() {
        return why;
    }

    /** What it rests on, in the order its words name them. */
    public List<Object> facts() {
        return facts;
    }
}
