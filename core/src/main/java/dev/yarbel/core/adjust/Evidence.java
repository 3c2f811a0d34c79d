package dev.yarbel.core.adjust;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.HealedAche;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.recovery.Readiness;
import dev.yarbel.core.session.Best;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** What was seen in a log that made a rule speak, as data: whoever shows it finds the words. */
public sealed interface Evidence {

    /** What a room outside makes of each kind of evidence. */
    interface Visitor<T> {

        T estimateMoved(EstimateMoved evidence);

        T sets(Sets evidence);

        T hurt(Hurt evidence);

        T away(Away evidence);

        T best(NewBest evidence);

        T firstTime(NewLift evidence);

        T collapsed(Collapsed evidence);

        T tired(Tired evidence);

        T healed(Healed evidence);

        T contestElsewhere(ContestElsewhere evidence);
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

    /**
     * Work sets beside what asked for them, of one session or of several.
     *
     * @param sets oldest first, at least one
     */
    record Sets(List<SeenSet> sets) implements Evidence {

        public Sets {
            sets = List.copyOf(sets);
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.sets(this);
        }
    }

    /**
     * Something hurt.
     *
     * @param words the lifter's own of the session
     * @param aches those open that the lift loads
     * @param missed sets that were missed for pain
     */
    record Hurt(Optional<String> words, List<Ache> aches, List<SeenSet> missed) implements Evidence {

        public Hurt {
            aches = List.copyOf(aches);
            missed = List.copyOf(missed);
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.hurt(this);
        }
    }

    /**
     * The lifter was away.
     *
     * @param last the day before it on which something was lifted
     * @param days from then until the session
     */
    record Away(LocalDate last, long days) implements Evidence {

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.away(this);
        }
    }

    /**
     * A set was better than everything like it.
     *
     * @param before what was to beat
     */
    record NewBest(SeenSet set, Best before) implements Evidence {

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.best(this);
        }
    }

    /**
     * A variation was done for the first time.
     *
     * @param ratio what its loads come from until it has numbers of its own
     */
    record NewLift(SeenSet first, Ratio ratio) implements Evidence {

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.firstTime(this);
        }
    }

    /** What tells of fatigue. */
    record Tired(Readiness readiness) implements Evidence {

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.tired(this);
        }
    }

    /**
     * A set to the limit came to far fewer repetitions than the day's top promised.
     *
     * @param top the top set; what was promised hangs on it
     * @param expected the repetitions the lifter's curve gives the load
     */
    record Collapsed(SeenSet top, SeenSet limit, int expected) implements Evidence {

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.collapsed(this);
        }
    }

    /**
     * An ache is over.
     *
     * @param before the heaviest set of the weeks before it came up; empty where there was none
     * @param meanwhile the heaviest set while it was open; empty where the lift was not done
     */
    record Healed(HealedAche ache, Optional<SeenSet> before, Optional<SeenSet> meanwhile) implements Evidence {

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.healed(this);
        }
    }

    /** A contest is on another day than the plan leads to, or on none. */
    record ContestElsewhere(ContestSeen contest) implements Evidence {

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.contestElsewhere(this);
        }
    }
}
