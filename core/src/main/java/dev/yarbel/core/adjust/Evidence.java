package dev.yarbel.core.adjust;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.Optional;

/** What was seen in a log that made a rule speak, as data: whoever shows it finds the words. */
public sealed interface Evidence {

    /** What a room outside makes of each kind of evidence. */
    interface Visitor<T> {

        T estimateMoved(EstimateMoved evidence);
    }

    <T> T accept(Visitor<T> visitor);

    /**
     * A session moved the estimate, and a working max that followed it would stand elsewhere.
     *
     * @param movement how the last session moved it, set by set
     * @param target where the working max would stand: the coach's share of the estimate
     * @param share that share
     * @param cap what keeps one decision short of the target; empty where it can be reached in one
     */
    record EstimateMoved(MaxEstimate.Movement movement, Mass target, Percent share, Optional<Percent> cap)
            implements Evidence {

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.estimateMoved(this);
        }
    }
}
