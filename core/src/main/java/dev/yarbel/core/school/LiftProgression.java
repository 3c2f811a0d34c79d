package dev.yarbel.core.school;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import java.util.List;
import java.util.Optional;

/**
 * One line of a lift's training through the weeks, before it is put on a day.
 *
 * @param session which of the lift's sessions in the week, from 0
 * @param rank where in the day: 0 the main lift, 1 what follows it, 2 assistance
 * @param lift the lift itself, or a variation or assistance for it
 * @param doses one for each training week, deloads not counted
 */
record LiftProgression(int session, int rank, Lift lift, Purpose purpose, List<Optional<Dose>> doses) {

    static final int MAIN = 0;
    static final int SECOND = 1;
    static final int ASSISTANCE = 2;

    LiftProgression {
        doses = List.copyOf(doses);
    }
}
