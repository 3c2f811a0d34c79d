package dev.yarbel.web.plan;

import dev.yarbel.core.rehearsal.Manner;
import dev.yarbel.core.rehearsal.Rehearsal;
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
        return plan.rehearsed(Manner.USUAL)
                .flatMap(planned -> plan.rehearsed(Manner.USUAL.withCalls()).map(called -> new Both(planned, called)));
    }

    /** As it is planned. */
    Optional<Rehearsal> planned(LifterBlock plan) {
        return plan.rehearsed(Manner.USUAL);
    }
}
