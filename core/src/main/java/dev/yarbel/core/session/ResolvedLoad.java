package dev.yarbel.core.session;

import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.Optional;

/** What a dose's load comes to and why, or why that cannot be said. */
public sealed interface ResolvedLoad {

    /** A load that can be put on the bar, and what it hangs on. */
    record Known(Fit fit, Origin origin) implements ResolvedLoad {}

    /** No load can be said. */
    record Unknown(Why why) implements ResolvedLoad {}

    /** Why no load can be said. */
    enum Why {
        NO_ESTIMATE,
        NO_WORKING_MAX,
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

        /** So much below a top that is still to be lifted. */
        record BelowPlannedTop(String letter, Mass top, Percent drop, boolean about) implements Origin {}

        /**
         * So much below what was lifted.
         *
         * @param missed the top itself was missed, and this is the last set made before it
         */
        record BelowLiftedTop(String letter, Mass top, Percent drop, boolean missed) implements Origin {}

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
                        || known.origin instanceof Origin.BelowPlannedTop planned && planned.about());
    }
}
