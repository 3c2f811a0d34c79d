package dev.yarbel.lab.plan;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.lab.lifter.TrainedLifter;
import java.time.LocalDate;
import java.util.List;

/** A way of planning. Every lift's session asks for a set of three with two left, then sets of five with three left. */
public interface Way {

    int TOP_REPS = 3;
    int TOP_LEFT = 2;
    int FIVES = 3;
    int FIVE_REPS = 5;
    int FIVE_LEFT = 3;

    /** Whether a week, from 0, is an easy one. */
    boolean isEasy(int week);

    /** The session of a day begins, with these lifts. */
    default void begin(LocalDate date, int week, List<Lift> lifts, TrainedLifter lifter) {}

    /** The load of the set of three, in kg; an easy week takes off it by itself. */
    double top(Lift lift, TrainedLifter lifter);

    /** The load of the sets of five, once the set of three was done. */
    double fives(Lift lift, TrainedLifter lifter);

    /** A lift's sets as they were done, the set of three first. */
    void done(Lift lift, List<Lived.Set> sets);

    /** The session is over. */
    default void end(LocalDate date, TrainedLifter lifter) {}

    /** The days on which it asked for a deload. */
    default List<LocalDate> deloadsAskedFor() {
        return List.of();
    }
}
