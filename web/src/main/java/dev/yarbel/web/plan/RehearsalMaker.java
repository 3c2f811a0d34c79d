package dev.yarbel.web.plan;

import dev.yarbel.core.rehearsal.Manner;
import dev.yarbel.core.rehearsal.Rehearsal;
import dev.yarbel.core.rehearsal.Staged;
import dev.yarbel.web.block.LifterBlock;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Has a lifter's block lifted beforehand. */
@Component
class RehearsalMaker {

    /** The same block as it is planned, and with what the log says taken into its loads. */
    record Both(Rehearsal planned, Rehearsal called) {}

    /** Both ways; empty where nothing at all is known of the lifter. */
    Optional<Both> both(LifterBlock plan) {
        return rehearse(plan, Manner.USUAL)
                .flatMap(planned -> rehearse(plan, Manner.USUAL.withCalls()).map(called -> new Both(planned, called)));
    }

    /** As it is planned. */
    Optional<Rehearsal> planned(LifterBlock plan) {
        return rehearse(plan, Manner.USUAL);
    }

    private static Optional<Rehearsal> rehearse(LifterBlock plan, Manner manner) {
        return Rehearsal.of(
                new Staged(
                        plan.block(),
                        plan.projection(),
                        plan.resolver(),
                        plan.log(),
                        plan.standing().strength(),
                        plan.lifter().shareOfEstimate(),
                        plan.today()),
                manner);
    }
}
