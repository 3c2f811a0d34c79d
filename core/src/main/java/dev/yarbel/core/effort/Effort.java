package dev.yarbel.core.effort;

import java.util.Optional;

/**
 * What the lifter says about a set once it is over: a rating, "more than four left", done without a rating, or missed.
 *
 * <p>The code of each, {@code 8.5}, {@code easy}, {@code done} or {@code missed}, is what forms send and what is kept.
 */
public sealed interface Effort {

    /** A set rated by the repetitions left. */
    record Rated(Rpe rpe) implements Effort {
        @Override
        public boolean isUnrated() {
            return false;
        }

        @Override
        public Optional<Rpe> rating() {
            return Optional.of(rpe);
        }

        @Override
        public boolean isMissed() {
            return false;
        }

        @Override
        public boolean isMoreThanFourLeft() {
            return false;
        }

        @Override
        public String code() {
            return rpe.toString();
        }
    }

    /** A warm-up with more than four repetitions left: at least that many, so it never estimates a max. */
    record MoreThanFourLeft() implements Effort {
        @Override
        public boolean isUnrated() {
            return false;
        }

        @Override
        public Optional<Rpe> rating() {
            return Optional.empty();
        }

        @Override
        public boolean isMissed() {
            return false;
        }

        @Override
        public boolean isMoreThanFourLeft() {
            return true;
        }

        @Override
        public String code() {
            return "easy";
        }
    }

    /** Done, and not rated: preparation, carries, holds, singles against the clock. It never estimates a max. */
    record Unrated() implements Effort {
        @Override
        public boolean isUnrated() {
            return true;
        }

        @Override
        public Optional<Rpe> rating() {
            return Optional.empty();
        }

        @Override
        public boolean isMissed() {
            return false;
        }

        @Override
        public boolean isMoreThanFourLeft() {
            return false;
        }

        @Override
        public String code() {
            return "done";
        }
    }

    /** The planned repetitions were not made; those that were made were to the limit. */
    record Missed() implements Effort {
        @Override
        public boolean isUnrated() {
            return false;
        }

        @Override
        public Optional<Rpe> rating() {
            return Optional.empty();
        }

        @Override
        public boolean isMissed() {
            return true;
        }

        @Override
        public boolean isMoreThanFourLeft() {
            return false;
        }

        @Override
        public String code() {
            return "missed";
        }
    }

    /** The rating that was given. */
    Optional<Rpe> rating();

    /** Whether the planned repetitions were not made. */
    boolean isMissed();

    /** Whether it was said that more than four repetitions were left. */
    boolean isMoreThanFourLeft();

    /** Whether it was done, and nothing said of how hard it was. */
    boolean isUnrated();

    /** The short code of this answer. */
    String code();

    /** A rating as an effort. */
    static Effort rated(Rpe rpe) {
        return new Rated(rpe);
    }

    /**
     * Reads a code.
     *
     * @throws IllegalArgumentException when it is none
     */
    static Effort parse(String code) {
        return switch (code) {
            case "easy" -> new MoreThanFourLeft();
            case "done" -> new Unrated();
            case "missed" -> new Missed();
            default -> new Rated(Rpe.parse(code));
        };
    }
}
