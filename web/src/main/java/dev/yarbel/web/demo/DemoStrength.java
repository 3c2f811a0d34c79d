package dev.yarbel.web.demo;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.SetUp;
import dev.yarbel.core.session.Demand;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.session.SessionPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** An invented lifter who lifts what is planned and rates it by a strength that only the demo knows. */
record DemoStrength(RepCurve curve, Function<Lift, Mass> max) {

    List<DoneSet> session(Resolver resolver, Block block, int day, int week) {
        List<PrescribedSets> prescriptions = PrescribedSets.of(block, day, week);
        List<DoneSet> done = new ArrayList<>();
        for (var next = SessionPlan.of(resolver, prescriptions, done).next();
                next.isPresent();
                next = SessionPlan.of(resolver, prescriptions, done).next()) {
            done.add(lift(next.get()));
        }
        return done;
    }

    private DoneSet lift(Task task) {
        Mass load = task.loading().orElseThrow().total();
        Effort effort = task.key().warmUp() ? new Effort.MoreThanFourLeft() : effort(load, task);
        int reps = task.reps();
        if (effort.isMissed()) {
            while (reps > 0 && !good(task.lift(), load, RepsInAll.toTheLimit(reps))) {
                reps--;
            }
        }
        SetUp asked =
                task.key().warmUp() ? SetUp.PLAIN : Demand.setUp(task.asked().part());
        return new DoneSet(task.key(), new LiftedSet(task.lift(), load, reps, effort, SetDetails.NONE.asked(asked)));
    }

    /** The easiest rating at which the load is still within the lifter's strength. */
    private Effort effort(Mass load, Task task) {
        for (int halves = 12; halves <= 20; halves++) {
            Rpe rpe = Rpe.parse(halves / 2 + (halves % 2 == 0 ? "" : ".5"));
            if (good(task.lift(), load, RepsInAll.of(task.reps(), rpe))) {
                return halves == 12 ? new Effort.MoreThanFourLeft() : Effort.rated(rpe);
            }
        }
        return new Effort.Missed();
    }

    private boolean good(Lift lift, Mass load, RepsInAll reps) {
        return !load.isGreaterThan(max.apply(lift).times(curve.share(reps)));
    }
}
