package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.StartingMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.session.LiftNumbers;
import java.util.Optional;

/** What is known of a lifter in one lift. */
public record LiftStanding(
        Lift lift,
        Optional<Mass> workingMax,
        Optional<StartingMax> start,
        RepCurve curve,
        Optional<MaxEstimate> estimate) {

    /** What loads can hang on. */
    public LiftNumbers numbers() {
        return new LiftNumbers(workingMax, estimate.map(MaxEstimate::max), curve);
    }
}
