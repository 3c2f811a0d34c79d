package dev.yarbel.core.review;

import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.recovery.RecoveryKnown;
import dev.yarbel.core.tally.Habit;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What is known of the lifter and of the blocks before, beside the plan itself. */
public interface LifterKnown {

    /** Mastery of a lift, as the coach decided for it or for the root of its family. */
    Optional<Mastery> mastery(Lift lift);

    /** The last day anything spoke for the lift's max: a max set down, or a set that moved the estimate. */
    Optional<LocalDate> lastSeen(Lift lift);

    /** How the estimate of a lift moved a week over what the log holds; empty with too little of it. */
    Optional<Mass> gainAWeek(Lift lift);

    /** What the lifter is used to. */
    Habit habit();

    List<Ache> aches();

    boolean dietsHard();

    /** How long lifts need until they can be trained hard again, for this lifter. */
    default RecoveryKnown recovery() {
        return RecoveryKnown.START;
    }

    /** The unit the lifter thinks in. */
    MassUnit unit();

    /** Years of age; empty where nobody said. */
    Optional<Integer> age();

    /** Days of contests that other blocks of the lifter lead to. */
    List<LocalDate> contests();

    /** Minutes they have for a session. */
    Optional<Integer> minutesAtHand();

    /** Days a week they can train. */
    Optional<Integer> daysAWeek();

    /** Days the block before this one was trained before it was put aside; empty when it ran its course. */
    Optional<Integer> daysOfBlockPutAside();

    /** Which run of the same block this is, from 1. */
    int run();

    /** Whether a day of a week is history. */
    boolean isLifted(int day, int week);

    /** The gates of a slot that a coach has opened by name. */
    Set<Gate> confirmed(int day, int slot);

    LocalDate today();
}
