package dev.yarbel.core.prescription;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import java.util.Optional;

/** What a percentage is a percentage of. Mixing these up is the classic planning error, so each is named. */
public sealed interface Reference {

    /** The references that need nothing more said; the working max is meant where none is named. */
    enum Named implements Reference {
        WORKING("working", 130),
        CONTEST("contest", 130),
        ESTIMATE("est", 130),
        GOAL("goal", 130),
        /** The top set lifted today. */
        TOP("top", 120),
        BODY_MASS("bw", 400),
        /** The load announced for the contest's event. */
        EVENT("event", 200),
        /** What was lifted the last time in the slot. */
        LAST("last", 120);

        private final String word;
        private final Percent most;

        Named(String word, long most) {
            this.word = word;
            this.most = Percent.of(most);
        }

        @Override
        public String word() {
            return word;
        }

        @Override
        public Percent most() {
            return most;
        }

        @Override
        public boolean standsAlone() {
            return this == BODY_MASS || this == EVENT;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.named(this);
        }
    }

    /**
     * A load the lifter can lift so many times: {@code 3rm}.
     *
     * @param reps 2 to 20
     */
    record RepMax(int reps) implements Reference {
        public RepMax {
            if (reps < 2 || reps > 20) {
                throw new IllegalArgumentException("a rep max has 2 to 20 repetitions");
            }
        }

        @Override
        public String word() {
            return reps + "rm";
        }

        @Override
        public boolean standsAlone() {
            return true;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.repMax(this);
        }
    }

    /** The working max of another lift, by name: {@code of deadlift}. */
    record Other(Lift lift) implements Reference {
        @Override
        public String word() {
            return "of " + lift.key();
        }

        @Override
        public boolean standsAlone() {
            return false;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.other(this);
        }

        @Override
        public Optional<Lift> otherLift() {
            return Optional.of(lift);
        }
    }

    /** How it is written after a percentage. */
    String word();

    /** The largest share of it that makes sense; partial lifts go above the max. */
    default Percent most() {
        return Percent.of(130);
    }

    /** Whether all of it is written without {@code 100%}. */
    boolean standsAlone();

    /** Asks what kind of reference this is. */
    <T> T accept(Visitor<T> visitor);

    /** What somebody makes of each kind of reference. */
    interface Visitor<T> {

        T named(Named named);

        T repMax(RepMax repMax);

        T other(Other other);
    }

    /** The other lift whose max it is. */
    default Optional<Lift> otherLift() {
        return Optional.empty();
    }

    /** Whether it is the lift's own max in some form, so that 100 % of it is a limit. */
    default boolean isMax() {
        return this == Named.WORKING || this == Named.CONTEST || this == Named.ESTIMATE || this == Named.GOAL;
    }
}
