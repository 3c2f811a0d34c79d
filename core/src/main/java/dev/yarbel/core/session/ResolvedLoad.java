package dev.yarbel.core.session;

import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.progress.Step;
import java.util.List;
import java.util.Optional;

/** What a dose's load comes to and why, or why that cannot be said. */
public sealed interface ResolvedLoad {

    /**
     * A load that can be put on the bar, and what it hangs on.
     *
     * @param steps where each set has a load of its own, all of them, the first being {@code fit}; else none
     * @param upTo where a range was asked for, its upper end
     */
    record Known(Fit fit, Origin origin, List<Fit> steps, Optional<Fit> upTo) implements ResolvedLoad {
        public Known {
            steps = List.copyOf(steps);
        }

        public Known(Fit fit, Origin origin) {
            this(fit, origin, List.of(), Optional.empty());
        }

        /** The load of a set, counted from 1. */
        public Mass load(int set) {
            return steps.isEmpty()
                    ? fit.load()
                    : steps.get(Math.min(set, steps.size()) - 1).load();
        }
    }

    /** No load can be said. */
    record Unknown(Why why) implements ResolvedLoad {}

    /** Why no load can be said. */
    enum Why {
        NO_ESTIMATE,
        NO_WORKING_MAX,
        NO_CONTEST_MAX,
        NO_GOAL,
        NO_REP_MAX,
        NO_BODY_MASS,
        NO_EVENT_LOAD,
        /** The other lift it hangs on has no working max. */
        NO_OTHER_MAX,
        /** The lift was never done before. */
        NO_LAST_TIME,
        /** Nobody knows yet how fast this lifter moves which load. */
        NO_SPEED_TABLE,
        /** The lifter decides. */
        BY_FEEL,
        /** Nothing here is made for the lift. */
        NO_KIT,
        /** A percentage below the day's top, and no top set of that lift above it. */
        NO_TOP_ABOVE,
        /** The top it hangs on has no load itself. */
        TOP_UNKNOWN,
        /** The top was missed, and no set of the lift was made before it. */
        NOTHING_MADE
    }

    /** What a load hangs on. */
    sealed interface Origin {

        /** The rating's share of today's estimate: about this load. */
        record FromEstimate(Mass estimate, Percent share) implements Origin {}

        record FromWorkingMax(Mass workingMax, Percent share) implements Origin {}

        /**
         * A share of the best done with the same chains or bands, as it is on the bar.
         *
         * @param about the share is a rating's, which the day itself will settle
         */
        record FromOwnBest(Mass best, Percent share, boolean about) implements Origin {}

        /** A share of another of the lifter's numbers. */
        record FromReference(Reference of, Mass whole, Percent share) implements Origin {}

        /**
         * What follows from the last session of the same work by the law of the dose.
         *
         * @param about nobody has lifted that session yet: it is what the plan asks for there
         */
        record AfterLastTime(Step step, boolean about) implements Origin {}

        /**
         * A share of what was lifted the last time.
         *
         * @param about nobody has lifted that session yet
         */
        record ShareOfLast(Mass last, Percent share, boolean about) implements Origin {}

        /** So much below a top that is still to be lifted. */
        record BelowPlannedTop(String letter, Mass top, Percent drop, boolean about) implements Origin {}

        /**
         * So much below what was lifted.
         *
         * @param missed the top itself was missed, and this is the last set made before it
         */
        record BelowLiftedTop(String letter, Mass top, Percent drop, boolean missed) implements Origin {}

        /**
         * As it stood when the day's first set was logged.
         *
         * @param guess it was a guess then
         */
        record AsItStood(boolean guess) implements Origin {}

        /** The coach wrote the load. */
        record AsWritten() implements Origin {}
    }

    /** The load, where it is known. */
    default Optional<Mass> load() {
        return this instanceof Known known ? Optional.of(known.fit.load()) : Optional.empty();
    }

    /** Whether the load is a guess from the estimate, which the day itself will settle. */
    default boolean isAbout() {
        return this instanceof Known known
                && (known.origin instanceof Origin.FromEstimate
                        || known.origin instanceof Origin.BelowPlannedTop planned && planned.about()
                        || known.origin instanceof Origin.AfterLastTime after && after.about()
                        || known.origin instanceof Origin.ShareOfLast last && last.about()
                        || known.origin instanceof Origin.FromOwnBest best && best.about()
                        || known.origin instanceof Origin.AsItStood then && then.guess()
                        || known.origin instanceof Origin.FromReference from && from.of() == Reference.Named.ESTIMATE);
    }
}
