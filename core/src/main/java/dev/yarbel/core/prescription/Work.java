package dev.yarbel.core.prescription;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import java.time.Duration;
import java.util.Optional;

/**
 * How the sets of a dose are built, apart from what they weigh.
 *
 * <p>{@link #sets()} and {@link #reps()} are what a log is laid out for and what is counted before anything was lifted;
 * where the day decides, they are the least that is asked.
 */
public sealed interface Work {

    int MOST_SETS = 50;
    int MOST_REPS = 100;
    Duration MOST_TIME = Duration.ofMinutes(120);

    /** The sets asked for, 1 to 50. */
    int sets();

    /** The repetitions of a set, 1 to 100; one for what is not counted in repetitions. */
    int reps();

    /** Whether repetitions are what is counted, so that a max says what they weigh. */
    default boolean countsReps() {
        return true;
    }

    /** Whether the day decides how much of it is done. */
    default boolean isOpen() {
        return false;
    }

    /** Where its last set goes on to, when it goes on as far as it can. */
    default Optional<Stop> stop() {
        return Optional.empty();
    }

    /** Whether every set goes on as far as it can. */
    default boolean isToLimit() {
        return false;
    }

    /** The rating it climbs to, load added each time. */
    default Optional<Rpe> climbsTo() {
        return Optional.empty();
    }

    /** Whether load is added each time, up to a rating. */
    default boolean isClimb() {
        return climbsTo().isPresent();
    }

    /** The rating until which sets are repeated with the same load. */
    default Optional<Rpe> repeatsUntil() {
        return Optional.empty();
    }

    /** Whether a number of repetitions is asked for in all. */
    default boolean isInAll() {
        return false;
    }

    /** These sets where they are straight ones. */
    default Optional<Straight> straight() {
        return Optional.empty();
    }

    /** These sets where they are done within a time. */
    default Optional<Density> density() {
        return Optional.empty();
    }

    /** These sets where they are rounds of small ones. */
    default Optional<Clusters> clusters() {
        return Optional.empty();
    }

    /** These sets where something is carried or dragged. */
    default Optional<Carry> carry() {
        return Optional.empty();
    }

    /** Whether repetitions are counted against the clock. */
    default boolean isRepsInTime() {
        return false;
    }

    /**
     * Whether only lifting a set settles how many repetitions or rounds it has: a range, a set to the limit, as many as a time
     * allows, one go of a total. What was done has to be asked then, and never follows from the dose.
     *
     * @param last it is the last set of its part, where a plus belongs
     */
    default boolean leavesCountOpen(boolean last) {
        return false;
    }

    /** Whether what is counted is rounds. */
    default boolean countsRounds() {
        return false;
    }

    /** Whether how long a set took may be noted: it is carried, held or done in rounds. */
    boolean isTimed();

    /** Whether a miss ends it, however many sets were still asked for. */
    default boolean endsOnMiss() {
        return false;
    }

    /** Whether it is general preparation before the bar. */
    default boolean isPreparation() {
        return false;
    }

    /** The same without a time in which each set must be done. */
    default Work withoutTime() {
        return this;
    }

    /** Asks what kind of work this is. */
    <T> T accept(Visitor<T> visitor);

    /** What somebody makes of each kind of work; whoever adds a kind says here what becomes of it everywhere. */
    interface Visitor<T> {

        T straight(Straight straight);

        T toLimit(ToLimit toLimit);

        T climb(Climb climb);

        T clusters(Clusters clusters);

        T density(Density density);

        T until(Until until);

        T inAll(InAll inAll);

        T repsInTime(RepsInTime repsInTime);

        T hold(Hold hold);

        T carry(Carry carry);

        T rounds(Rounds rounds);

        T preparation(Preparation preparation);
    }

    /** Where a set to the limit ends. */
    sealed interface Stop {

        /** The rating at which it ends; empty: when form breaks. */
        Optional<Rpe> rating();

        /** When form breaks, not when the bar stops. */
        record Form() implements Stop {
            @Override
            public Optional<Rpe> rating() {
                return Optional.empty();
            }
        }

        /** At a rating. */
        record At(Rpe rpe) implements Stop {
            @Override
            public Optional<Rpe> rating() {
                return Optional.of(rpe);
            }
        }

        Stop FORM = new Form();
    }

    /**
     * Sets of the same repetitions: {@code 4x8}, or of a range that is worked through before load is added: {@code 3x8-12}.
     *
     * @param mostSets where the lifter may stop sooner, the most sets there are: {@code 2-3x8}; else the same as sets
     * @param most the top of the range; the same as {@code reps} where there is none
     * @param plus the last set goes on as far as it can, up to this stop: {@code 3x5+}
     */
    record Straight(int sets, int mostSets, int reps, int most, Optional<Stop> plus) implements Work {
        public Straight {
            checkSets(sets);
            checkSets(mostSets);
            checkReps(reps);
            checkReps(most);
            if (most < reps || mostSets < sets || most > reps && plus.isPresent()) {
                throw new IllegalArgumentException("a range runs upward, and has no plus set");
            }
        }

        public Straight(int sets, int reps, int most, Optional<Stop> plus) {
            this(sets, sets, reps, most, plus);
        }

        public static Straight of(int sets, int reps) {
            return new Straight(sets, reps, reps, Optional.empty());
        }

        public boolean isRange() {
            return most > reps;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.straight(this);
        }

        @Override
        public Optional<Straight> straight() {
            return Optional.of(this);
        }

        @Override
        public Optional<Stop> stop() {
            return plus;
        }

        @Override
        public boolean leavesCountOpen(boolean last) {
            return isRange() || last && plus.isPresent();
        }

        @Override
        public boolean isTimed() {
            return false;
        }
    }

    /** As many repetitions as possible up to a stop: {@code max}, {@code 2xmax to @9}. */
    record ToLimit(int sets, Stop end) implements Work {
        public ToLimit {
            checkSets(sets);
        }

        @Override
        public int reps() {
            return 1;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.toLimit(this);
        }

        @Override
        public boolean isOpen() {
            return true;
        }

        @Override
        public boolean isToLimit() {
            return true;
        }

        @Override
        public Optional<Stop> stop() {
            return Optional.of(end);
        }

        @Override
        public boolean leavesCountOpen(boolean last) {
            return true;
        }

        @Override
        public boolean isTimed() {
            return false;
        }
    }

    /** Sets of so many repetitions, load added each time, until one rates so; the last counts: {@code climb 8 to @7}. */
    record Climb(int reps, Rpe until) implements Work {

        /** As many sets as are laid out before anyone knows; a starting value of ours. */
        private static final int SETS = 4;

        public Climb {
            checkReps(reps);
        }

        @Override
        public int sets() {
            return SETS;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.climb(this);
        }

        @Override
        public boolean isOpen() {
            return true;
        }

        @Override
        public Optional<Rpe> climbsTo() {
            return Optional.of(until);
        }

        @Override
        public boolean isTimed() {
            return false;
        }
    }

    /**
     * Rounds of small sets with a short rest within: {@code 3x(5x1 20s)}.
     *
     * @param sets the rounds
     * @param within the small sets of a round, 2 to 20
     * @param each the repetitions of a small set, the least where a range is asked for
     * @param most the most repetitions of a small set; else the same as {@code each}
     * @param gap the rest within a round
     */
    record Clusters(int sets, int within, int each, int most, Duration gap) implements Work {
        public Clusters(int sets, int within, int each, Duration gap) {
            this(sets, within, each, each, gap);
        }

        public Clusters {
            checkSets(sets);
            checkReps(each);
            if (within < 2 || within > 20 || most < each || within * most > MOST_REPS) {
                throw new IllegalArgumentException("a round has 2 to 20 small sets of " + MOST_REPS + " in all");
            }
            checkTime(gap);
        }

        @Override
        public int reps() {
            return within * each;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.clusters(this);
        }

        @Override
        public Optional<Clusters> clusters() {
            return Optional.of(this);
        }

        @Override
        public boolean isTimed() {
            return false;
        }
    }

    /**
     * As many sets as the time allows, up to a goal, none sooner than the gap after the one before; a miss ends it:
     * {@code 10x1 in 10min gap 30}.
     *
     * @param sets the goal
     * @param beyond whether sets go on beyond the goal while there is time: {@code 10x1+ in 10min gap 30}
     */
    record Density(int sets, int reps, Duration time, Duration gap, boolean beyond) implements Work {
        public Density(int sets, int reps, Duration time, Duration gap) {
            this(sets, reps, time, gap, false);
        }

        public Density {
            checkSets(sets);
            checkReps(reps);
            checkTime(time);
            checkTime(gap);
            if (gap.multipliedBy(sets - 1L).compareTo(time) > 0) {
                throw new IllegalArgumentException("the goal cannot be reached in the time with that gap");
            }
        }

        /** The time there is for each set if the goal is to be reached. */
        public Duration pace() {
            return time.dividedBy(sets);
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.density(this);
        }

        @Override
        public Optional<Density> density() {
            return Optional.of(this);
        }

        @Override
        public boolean endsOnMiss() {
            return true;
        }

        @Override
        public boolean isTimed() {
            return false;
        }
    }

    /**
     * Sets of so many repetitions, all with the same load, until one rates so: {@code 5x @8 until @9}.
     */
    record Until(int reps, Rpe until) implements Work {

        /** As many sets as are laid out before anyone knows; a starting value of ours. */
        private static final int SETS = 4;

        public Until {
            checkReps(reps);
        }

        @Override
        public int sets() {
            return SETS;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.until(this);
        }

        @Override
        public boolean isOpen() {
            return true;
        }

        @Override
        public Optional<Rpe> repeatsUntil() {
            return Optional.of(until);
        }

        @Override
        public boolean isTimed() {
            return false;
        }
    }

    /** So many repetitions in all, in as many goes as are needed: {@code 20 reps}. */
    record InAll(int reps) implements Work {
        public InAll {
            checkReps(reps);
        }

        @Override
        public int sets() {
            return 1;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.inAll(this);
        }

        @Override
        public boolean isOpen() {
            return true;
        }

        @Override
        public boolean isInAll() {
            return true;
        }

        @Override
        public boolean leavesCountOpen(boolean last) {
            return true;
        }

        @Override
        public boolean isTimed() {
            return false;
        }
    }

    /** As many repetitions as the time allows: {@code max in 60s}. */
    record RepsInTime(int sets, Duration time) implements Work {
        public RepsInTime {
            checkSets(sets);
            checkTime(time);
        }

        @Override
        public int reps() {
            return 1;
        }

        @Override
        public boolean countsReps() {
            return false;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.repsInTime(this);
        }

        @Override
        public boolean isOpen() {
            return true;
        }

        @Override
        public boolean leavesCountOpen(boolean last) {
            return true;
        }

        @Override
        public boolean isTimed() {
            return false;
        }

        @Override
        public boolean isRepsInTime() {
            return true;
        }
    }

    /** Held for a time: {@code 3x30s}. */
    record Hold(int sets, Duration time) implements Work {
        public Hold {
            checkSets(sets);
            checkTime(time);
        }

        @Override
        public int reps() {
            return 1;
        }

        @Override
        public boolean countsReps() {
            return false;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.hold(this);
        }

        @Override
        public boolean isTimed() {
            return true;
        }
    }

    /**
     * Carried or dragged over a distance: {@code 3x20m}, {@code 1x20m in 60s}.
     *
     * @param unit metres or feet, as the coach typed
     * @param within the time it must be done in
     */
    record Carry(int sets, Length distance, LengthUnit unit, Optional<Duration> within) implements Work {

        public static final Length MOST_DISTANCE = Length.ofCm(100_000);

        public Carry {
            checkSets(sets);
            if (!distance.isPositive() || distance.isGreaterThan(MOST_DISTANCE)) {
                throw new IllegalArgumentException("a carry goes up to a kilometre");
            }
            within.ifPresent(Work::checkTime);
        }

        @Override
        public Work withoutTime() {
            return new Carry(sets, distance, unit, Optional.empty());
        }

        @Override
        public int reps() {
            return 1;
        }

        @Override
        public boolean countsReps() {
            return false;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.carry(this);
        }

        @Override
        public boolean isTimed() {
            return true;
        }

        @Override
        public Optional<Carry> carry() {
            return Optional.of(this);
        }
    }

    /**
     * Rounds of a circuit: {@code 5 rounds}, {@code rounds in 12min}.
     *
     * @param goal empty: as many as the time allows
     */
    record Rounds(Optional<Integer> goal, Optional<Duration> time) implements Work {
        public Rounds {
            goal.ifPresent(Work::checkSets);
            time.ifPresent(Work::checkTime);
            if (goal.isEmpty() && time.isEmpty()) {
                throw new IllegalArgumentException("rounds have a number or a time");
            }
        }

        @Override
        public int sets() {
            return goal.orElse(1);
        }

        @Override
        public int reps() {
            return 1;
        }

        @Override
        public boolean countsReps() {
            return false;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.rounds(this);
        }

        @Override
        public boolean isOpen() {
            return true;
        }

        @Override
        public boolean leavesCountOpen(boolean last) {
            return time.isPresent();
        }

        @Override
        public boolean countsRounds() {
            return true;
        }

        @Override
        public boolean isTimed() {
            return true;
        }
    }

    /** General preparation before the bar: {@code prep 10min}. */
    record Preparation(Duration time) implements Work {
        public Preparation {
            checkTime(time);
        }

        @Override
        public int sets() {
            return 1;
        }

        @Override
        public int reps() {
            return 1;
        }

        @Override
        public boolean countsReps() {
            return false;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.preparation(this);
        }

        @Override
        public boolean isPreparation() {
            return true;
        }

        @Override
        public boolean isTimed() {
            return false;
        }
    }

    private static void checkSets(int sets) {
        if (sets < 1 || sets > MOST_SETS) {
            throw new IllegalArgumentException("1 to " + MOST_SETS + " sets");
        }
    }

    private static void checkReps(int reps) {
        if (reps < 1 || reps > MOST_REPS) {
            throw new IllegalArgumentException("1 to " + MOST_REPS + " repetitions");
        }
    }

    private static void checkTime(Duration time) {
        if (time.isNegative() || time.isZero() || time.compareTo(MOST_TIME) > 0 || time.getNano() != 0) {
            throw new IllegalArgumentException("a time of up to " + MOST_TIME + " in whole seconds");
        }
    }
}
