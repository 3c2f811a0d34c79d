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

        @Override
        public Optional<Known> known() {
            return Optional.of(this);
        }

        @Override
        public Optional<Why> missing() {
            return Optional.empty();
        }
    }

    /** No load can be said. */
    record Unknown(Why why) implements ResolvedLoad {
        @Override
        public Optional<Known> known() {
            return Optional.empty();
        }

        @Override
        public Optional<Why> missing() {
            return Optional.of(why);
        }
    }

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
        /** This lifter's measured sets were slower, or faster, than that. */
        BEYOND_SPEED_TABLE,
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

        /** Whether the load is a guess, which the day itself or a session before it will settle. */
        boolean about();

        /** What its law did, where it follows from the last session. */
        default Optional<Step> lawStep() {
            return Optional.empty();
        }

        /** Asks what kind this is. */
        <T> T accept(Visitor<T> visitor);

        /** What somebody makes of each of them. */
        interface Visitor<T> {

            T fromEstimate(FromEstimate fromEstimate);

            T fromWorkingMax(FromWorkingMax fromWorkingMax);

            T fromOwnBest(FromOwnBest fromOwnBest);

            T fromReference(FromReference fromReference);

            T afterLastTime(AfterLastTime afterLastTime);

            T shareOfLast(ShareOfLast shareOfLast);

            T belowPlannedTop(BelowPlannedTop belowPlannedTop);

            T belowLiftedTop(BelowLiftedTop belowLiftedTop);

            T asItStood(AsItStood asItStood);

            T asWritten(AsWritten asWritten);
        }

        /** The rating's share of today's estimate: about this load. */
        record FromEstimate(Mass estimate, Percent share) implements Origin {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.fromEstimate(this);
            }

            @Override
            public boolean about() {
                return true;
            }
        }

        record FromWorkingMax(Mass workingMax, Percent share) implements Origin {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.fromWorkingMax(this);
            }

            @Override
            public boolean about() {
                return false;
            }
        }

        /**
         * A share of the best done with the same chains or bands, as it is on the bar.
         *
         * @param about the share is a rating's, which the day itself will settle
         */
        record FromOwnBest(Mass best, Percent share, boolean about) implements Origin {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.fromOwnBest(this);
            }
        }

        /** A share of another of the lifter's numbers. */
        record FromReference(Reference of, Mass whole, Percent share) implements Origin {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.fromReference(this);
            }

            @Override
            public boolean about() {
                return of == Reference.Named.ESTIMATE;
            }
        }

        /**
         * What follows from the last session of the same work by the law of the dose.
         *
         * @param about nobody has lifted that session yet: it is what the plan asks for there
         */
        record AfterLastTime(Step step, boolean about) implements Origin {
            @Override
            public Optional<Step> lawStep() {
                return Optional.of(step);
            }

            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.afterLastTime(this);
            }
        }

        /**
         * A share of what was lifted the last time.
         *
         * @param about nobody has lifted that session yet
         */
        record ShareOfLast(Mass last, Percent share, boolean about) implements Origin {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.shareOfLast(this);
            }
        }

        /** So much below a top that is still to be lifted. */
        record BelowPlannedTop(String letter, Mass top, Percent drop, boolean about) implements Origin {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.belowPlannedTop(this);
            }
        }

        /**
         * So much below what was lifted.
         *
         * @param missed the top itself was missed, and this is the last set made before it
         */
        record BelowLiftedTop(String letter, Mass top, Percent drop, boolean missed) implements Origin {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.belowLiftedTop(this);
            }

            @Override
            public boolean about() {
                return false;
            }
        }

        /**
         * As it stood when the day's first set was logged.
         *
         * @param guess it was a guess then
         */
        record AsItStood(boolean guess) implements Origin {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.asItStood(this);
            }

            @Override
            public boolean about() {
                return guess;
            }
        }

        /** The coach wrote the load. */
        record AsWritten() implements Origin {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.asWritten(this);
            }

            @Override
            public boolean about() {
                return false;
            }
        }
    }

    /** The load and what it hangs on, where it can be said. */
    Optional<Known> known();

    /** Why it cannot be said; empty where it can. */
    Optional<Why> missing();

    /** The load, where it is known. */
    default Optional<Mass> load() {
        return known().map(known -> known.fit().load());
    }

    /** Whether the load is a guess from the estimate, which the day itself will settle. */
    default boolean isAbout() {
        return known().filter(known -> known.origin().about()).isPresent();
    }
}
