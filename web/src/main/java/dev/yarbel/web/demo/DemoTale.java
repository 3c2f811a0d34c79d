package dev.yarbel.web.demo;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.SetDetails.MissedBy;
import dev.yarbel.core.session.DoneSet;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * What went otherwise than expected with a lift in an invented lifter's last sessions, so that something is there to decide.
 *
 * @param lift whose work sets went so
 * @param last in how many of the last sessions with the lift; these and all after them are told of
 * @param onlyLastSet only the last work set of it did
 */
record DemoTale(Lift lift, int last, boolean onlyLastSet, UnaryOperator<LiftedSet> how) {

    /** Nothing; nobody is told of any session. */
    static final DemoTale NONE = new DemoTale(Lift.SQUAT, 0, false, UnaryOperator.identity());

    /** Nothing, but the last sessions of a lift are told of, and what came after them. */
    static DemoTale told(Lift lift, int sessions) {
        return new DemoTale(lift, sessions, false, UnaryOperator.identity());
    }

    /** The last set of each of so many sessions was missed. */
    static DemoTale missed(Lift lift, int sessions, int made) {
        return new DemoTale(
                lift,
                sessions,
                true,
                set -> new LiftedSet(
                        lift, set.load(), Math.min(made, set.reps() - 1), new Effort.Missed(), SetDetails.NONE));
    }

    /** The last set of the last session was missed for something. */
    static DemoTale missed(Lift lift, MissedBy why) {
        return new DemoTale(
                lift,
                1,
                true,
                set -> new LiftedSet(
                        lift, set.load(), set.reps() - 1, new Effort.Missed(), SetDetails.NONE.missed(why)));
    }

    /** Every set of so many sessions was harder by so many half points. */
    static DemoTale harder(Lift lift, int sessions, int halves) {
        return new DemoTale(
                lift,
                sessions,
                false,
                set -> new LiftedSet(
                        lift,
                        set.load(),
                        set.reps(),
                        set.rating()
                                .map(said -> Effort.rated(Rpe.withHalvesLeft(Math.max(0, said.halvesLeft() - halves))))
                                .orElse(set.effort()),
                        SetDetails.NONE));
    }

    /** The last session was logged in pounds as if they were kilograms. */
    static DemoTale inPounds(Lift lift) {
        return new DemoTale(
                lift,
                1,
                true,
                set -> new LiftedSet(
                        lift,
                        Mass.of(set.load().in(MassUnit.LB).setScale(0, RoundingMode.HALF_UP), MassUnit.KG),
                        set.reps(),
                        set.effort(),
                        SetDetails.NONE));
    }

    /** The first of so many sessions that is told of, from 0; past the last where none is. */
    int toldFrom(List<List<DoneSet>> sessions) {
        int left = last;
        int from = sessions.size();
        while (left > 0 && from > 0) {
            from--;
            if (sessions.get(from).stream().anyMatch(this::isIts)) {
                left--;
            }
        }
        return last == 0 ? sessions.size() : from;
    }

    private boolean isIts(DoneSet done) {
        return !done.task().warmUp() && done.set().lift().equals(lift);
    }

    /** A session that is told of, as it went. */
    List<DoneSet> tell(List<DoneSet> expected) {
        List<DoneSet> told = new ArrayList<>(expected);
        boolean changed = false;
        for (int i = told.size() - 1; i >= 0; i--) {
            DoneSet done = told.get(i);
            if (isIts(done) && !(onlyLastSet && changed)) {
                told.set(i, new DoneSet(done.task(), how.apply(done.set())));
                changed = true;
            }
        }
        return told;
    }
}
