package dev.yarbel.web.calls;

import dev.yarbel.core.block.DayId;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Alternatives;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import java.util.List;
import java.util.Optional;

/**
 * A slip as its page shows it, worked out from the plan and the log as they stand now.
 *
 * @param session empty where it answered no day of the block
 * @param call empty when there is nothing left to decide
 */
record SlipView(long id, Lift lift, LifterBlock plan, Optional<Place> session, Optional<Call> call) {

    /** The day and week of the block, from 0, of the session that gave cause. */
    record Place(int day, int week) {}

    static SlipView of(SlipLine line, LifterBlock plan, Optional<Call> call) {
        Optional<Place> place = plan.standing().log().stream()
                .filter(session -> line.cause().session().equals(Optional.of(session.id())))
                .flatMap(session -> session.planned().stream())
                .map(planned -> new Place(plan.block().indexOf(new DayId(planned.day())), planned.week()))
                .filter(found -> found.day() >= 0)
                .findFirst();
        return new SlipView(line.id(), line.lift(), plan, place, call);
    }

    private static final int OTHERS = 8;

    /** The lifts that could take the place of this one, those that spare what aches first. */
    public List<Lift> others() {
        return Alternatives.of(
                lift,
                aches().stream().map(Ache::place).toList(),
                plan.standing().catalogue(),
                OTHERS);
    }

    /** Whether a working max of the lift stands, so that another figure can be put in its place. */
    public boolean hasWorkingMax() {
        return plan.standing().of(lift).flatMap(LiftRecord::workingMax).isPresent();
    }

    /** The open aches that the lift loads; no load of it rises while there are any. */
    public List<Ache> aches() {
        return plan.lifter().aching(lift, plan.standing().catalogue());
    }
}
