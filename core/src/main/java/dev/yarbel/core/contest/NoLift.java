package dev.yarbel.core.contest;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.SetDetails.MissedBy;
import java.util.Arrays;
import java.util.List;

/**
 * Why an attempt was no good one. What the judges call is after the IPF Technical Rules, from memory.
 */
public enum NoLift {
    STRENGTH(Outcome.MISSED, MissedBy.STRENGTH),
    TECHNIQUE(Outcome.MISSED, MissedBy.TECHNIQUE),
    GRIP(Outcome.MISSED, MissedBy.GRIP),
    /** Something hurt: nothing more is advised that day. */
    PAIN(Outcome.MISSED, MissedBy.PAIN),
    DEPTH(Outcome.TURNED_DOWN, MissedBy.CALL),
    /** Begun, pressed or put down before the word. */
    COMMAND(Outcome.TURNED_DOWN, MissedBy.CALL),
    NOT_LOCKED_OUT(Outcome.TURNED_DOWN, MissedBy.CALL),
    /** The bar went down on its way up. */
    WENT_DOWN(Outcome.TURNED_DOWN, MissedBy.CALL),
    /** Feet, seat or head moved. */
    MOVED(Outcome.TURNED_DOWN, MissedBy.CALL),
    /** The bar was supported on the thighs. */
    HITCHED(Outcome.TURNED_DOWN, MissedBy.CALL);

    private final Outcome outcome;
    private final MissedBy missedBy;

    NoLift(Outcome outcome, MissedBy missedBy) {
        this.outcome = outcome;
        this.missedBy = missedBy;
    }

    /** What it may be said of: an attempt that did not go up, or one that was turned down. */
    public Outcome of() {
        return outcome;
    }

    /** As a log has it. */
    public MissedBy missedBy() {
        return missedBy;
    }

    /** Whether the lift says anything of strength: one that went up says that it was there, one missed by anything else says nothing. */
    boolean tellsOfStrength() {
        return outcome == Outcome.TURNED_DOWN || this == STRENGTH;
    }

    private boolean isOf(Lift lift) {
        return switch (this) {
            case DEPTH -> !lift.equals(Lift.DEADLIFT);
            case HITCHED, GRIP -> lift.equals(Lift.DEADLIFT);
            default -> true;
        };
    }

    /** What there is to say of an attempt at a lift, in the order it is shown; nothing of a good one. */
    public static List<NoLift> of(Lift lift, Outcome outcome) {
        return Arrays.stream(values())
                .filter(why -> why.outcome == outcome && why.isOf(lift))
                .toList();
    }
}
