package dev.yarbel.core.record;

import dev.yarbel.core.effort.Rpe;
import java.util.Optional;

/**
 * What a coach who watched, live or on video, says of a set; all of it may be unsaid.
 *
 * @param rating beside the lifter's own
 * @param form whether the repetitions were clean
 * @param link where the lift is weak
 * @param note to the lifter, up to {@link SetDetails#LONGEST_NOTE} characters
 * @param reps which repetitions were clean; empty where that was not looked at one by one
 */
public record CoachSeen(
        Optional<Rpe> rating,
        Optional<Form> form,
        Optional<WeakLink> link,
        Optional<String> note,
        Optional<RepsSeen> reps) {

    /** No coach said anything. */
    public static final CoachSeen NOTHING =
            new CoachSeen(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    /** How the repetitions looked. */
    public enum Form {
        CLEAN,
        BROKEN
    }

    /** Where a lift is weak; common practice, no source. */
    public enum WeakLink {
        SLOW_OFF_THE_FLOOR,
        STALLS_AT_KNEE_OR_LOCKOUT,
        HIPS_SHOOT_UP,
        FOLDS_FORWARD,
        STALLS_AT_THE_CHEST,
        STALLS_AT_LOCKOUT,
        GRIP_GOES,
        SLOWS_LATE
    }

    public CoachSeen {
        note.ifPresent(SetDetails::checkNote);
    }

    /** Only a rating. */
    public static CoachSeen rated(Rpe rating) {
        return new CoachSeen(
                Optional.of(rating), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
    }

    public boolean isNothing() {
        return equals(NOTHING);
    }
}
