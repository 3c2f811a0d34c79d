package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.UnitSlip;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.SessionPlan.Task;
import java.util.UUID;

/**
 * A set as it was sent from the floor, all text until it has been read.
 *
 * @param sure the load the lifter stands by although it looks like the other unit
 * @param error the code of what is wrong with it, or null
 */
record SetForm(
        String task,
        String token,
        String load,
        String sure,
        String reps,
        String effort,
        boolean correct,
        String error) {

    private static final Mass MOST = Mass.ofKg(1000);

    /** What cannot be logged as it was sent. */
    static final class Refused extends Exception {
        private static final long serialVersionUID = 1;
        private final transient SetForm form;

        Refused(SetForm form, String error) {
            this.form = new SetForm(
                    form.task, form.token, form.load, form.load, form.reps, form.effort, form.correct, error);
        }

        SetForm form() {
            return form;
        }
    }

    /** The token, made afresh where none that can be read was sent. */
    UUID tokenOrNew() {
        try {
            return UUID.fromString(token);
        } catch (IllegalArgumentException | NullPointerException notAToken) {
            return UUID.randomUUID();
        }
    }

    /** The set that was sent, for the task it answers. */
    DoneSet read(Task planned, MassUnit unit) throws Refused {
        Mass mass = readLoad(unit);
        if (!load.equals(sure)
                && planned.loading()
                        .filter(made -> UnitSlip.isSuspected(mass, made.total()))
                        .isPresent()) {
            throw new Refused(this, "unit");
        }
        Effort rated = readEffort();
        int done = readReps();
        if (rated instanceof Effort.Missed && done >= planned.reps()) {
            if (planned.reps() > 1) {
                throw new Refused(this, "missed-reps");
            }
            done = 0;
        }
        if (done == 0 && !(rated instanceof Effort.Missed)) {
            throw new Refused(this, "no-reps");
        }
        return new DoneSet(planned.key(), new LiftedSet(planned.lift(), mass, done, rated));
    }

    private Mass readLoad(MassUnit unit) throws Refused {
        try {
            Mass mass = Mass.parse(load == null ? "" : load, unit);
            if (mass.isPositive() && !mass.isGreaterThan(MOST)) {
                return mass;
            }
        } catch (IllegalArgumentException notAMass) {
            throw new Refused(this, "load");
        }
        throw new Refused(this, "load");
    }

    private int readReps() throws Refused {
        try {
            int done = Integer.parseInt(reps == null ? "" : reps.strip());
            if (done >= 0 && done <= 100) {
                return done;
            }
        } catch (NumberFormatException notANumber) {
            throw new Refused(this, "reps");
        }
        throw new Refused(this, "reps");
    }

    private Effort readEffort() throws Refused {
        try {
            return Effort.parse(effort == null ? "" : effort);
        } catch (IllegalArgumentException notAnEffort) {
            throw new Refused(this, "effort");
        }
    }
}
