package dev.yarbel.core.block;

import java.util.List;

/** Why a block cannot be edited as it was asked; the block stays as it is. */
public final class EditRefused extends RuntimeException {

    private static final long serialVersionUID = 1;

    /** What does not go. */
    public enum Why {
        /** The day or slot is not there, or not any more. */
        GONE,
        /** What the edit found is not what stands there: somebody else was first. */
        OVERTAKEN,
        /** These doses were lifted; the week, counted from 1. */
        LIFTED,
        /** Weeks that something was logged in stay where they are; how many they are. */
        BEGUN,
        /** A slot that something was logged under keeps its letter and lift. */
        SLOT_LIFTED,
        /** Another slot of the day has this letter. */
        LETTER_TAKEN,
        /** A block has a week at least. */
        LAST_WEEK,
        /** A block has no more weeks than this; how many. */
        TOO_LONG,
        /** There is no place before the first or after the last. */
        NO_FURTHER
    }

    private final Why why;
    private final transient List<Object> facts;

    EditRefused(Why why, Object... facts) {
        super(why.name(), null, false, false);
        this.why = why;
        this.facts = List.of(facts);
    }

    static void unless(boolean goes, Why why, Object... facts) {
        if (!goes) {
            throw new EditRefused(why, facts);
        }
    }

    public Why why() {
        return why;
    }

    /** What it rests on, in the order its words name them. */
    public List<Object> facts() {
        return facts;
    }
}
