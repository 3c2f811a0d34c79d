package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.FollowLaw;
import dev.yarbel.core.adjust.MoveWorkingMax;
import dev.yarbel.core.adjust.NextLoads;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.UnreadableException;
import java.util.Optional;

/**
 * All stays as it is planned, and the ledger says that it was agreed to. A figure of the coach's own is a working max, or after a
 * law's step the load of the next session.
 */
record NothingChanged(Handlers handlers, Lift lift, Optional<FollowLaw> law) implements Handling {

    @Override
    public String stands(MassUnit unit) {
        return "";
    }

    @Override
    public Handling own(Reply reply, MassUnit unit) {
        if (law.isPresent()) {
            Mass load = WorkingMaxMoved.read(reply.own(), unit, "calls.error.load");
            return NextLoads.written(handlers.block().ahead(), law.get(), load, unit)
                    .map(handlers::of)
                    .orElseThrow(() -> new UnreadableException("calls.error.load").in("own"));
        }
        Mass now =
                handlers.workingMax(lift).orElseThrow(() -> new UnreadableException("calls.error.no-figure").in("own"));
        return handlers.of(new MoveWorkingMax(lift, now, now)).own(reply, unit);
    }

    @Override
    public boolean raises() {
        return false;
    }

    @Override
    public Optional<Long> take(Decision decision) {
        return Optional.of(handlers.ledger()
                .decide(
                        decision.coach(),
                        decision.lifter(),
                        decision.kind(),
                        lift,
                        decision.why(),
                        "",
                        "",
                        Optional.empty()));
    }
}
