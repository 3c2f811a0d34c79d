package dev.yarbel.core.adjust;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.HealedAche;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.recovery.Readiness;
import dev.yarbel.core.session.LiftNumbers;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What a rule looks at: one lifter in one lift after one session, or in all of their training.
 *
 * @param lift {@link #WHOLE} for all of it, {@link #CONTEST} for a contest
 * @param plan the lifter's block as it stands
 * @param sessions what was finished so far, oldest first; the last one gave cause to look, and none after it is known; none where a contest did
 * @param aches those open that the lift loads
 * @param healed those cleared lately that the lift loads
 * @param readiness what tells of fatigue, where all of the training is looked at
 * @param contest what became of a contest, where that gave cause to look and no session did
 */
public record Subject(
        Lift lift,
        Known known,
        PlanAhead plan,
        List<SeenSession> sessions,
        List<Ache> aches,
        List<HealedAche> healed,
        Optional<Readiness> readiness,
        Optional<ContestSeen> contest) {

    /** Stands in the place of a lift where a lifter's training as a whole is looked at. */
    public static final Lift WHOLE = new Lift("whole-training");

    /** Stands in the place of a lift where a contest is looked at. */
    public static final Lift CONTEST = new Lift("contest-day");

    private static final int WEEKS_IN_A_ROW = 4;

    /**
     * What is known of the lifter in the lift.
     *
     * @param workingMax the lift's own
     * @param share the share of an estimate that the coach sets working maxes at, usually 90 to 100 %
     * @param caps how far one decision may move a working max
     * @param setDown whether the coach ever set down a number of the lift
     */
    public record Known(
            Optional<Mass> workingMax, Optional<MaxEstimate> estimate, Percent share, Caps caps, boolean setDown) {

        /** Of somebody who is looked at apart from any lift. */
        static final Known NOTHING = new Known(Optional.empty(), Optional.empty(), Percent.HUNDRED, Caps.USUAL, false);

        /** Where the working max would stand: the coach's share of the estimate; empty where nothing was lifted for it. */
        public Optional<Mass> target() {
            return estimate.filter(known -> !known.movements().isEmpty())
                    .map(known -> known.max().times(share));
        }
    }

    public Subject {
        sessions = List.copyOf(sessions);
        aches = List.copyOf(aches);
        healed = List.copyOf(healed);
        if (sessions.isEmpty() && contest.isEmpty()) {
            throw new IllegalArgumentException("a session gave cause to look");
        }
    }

    /** One lifter in one lift. */
    public Subject(Lift lift, Known known, PlanAhead plan, List<SeenSession> sessions, List<Ache> aches) {
        this(lift, known, plan, sessions, aches, List.of(), Optional.empty(), Optional.empty());
    }

    /** A contest of a lifter's, beside their plan, with all that hurts them. */
    public static Subject of(ContestSeen contest, PlanAhead plan, List<Ache> aches) {
        return new Subject(
                CONTEST, Known.NOTHING, plan, List.of(), aches, List.of(), Optional.empty(), Optional.of(contest));
    }

    /** The same with what tells of fatigue. */
    public Subject with(Readiness tired) {
        return new Subject(lift, known, plan, sessions, aches, healed, Optional.of(tired), contest);
    }

    /** The same with aches that were cleared lately. */
    public Subject healed(List<HealedAche> cleared) {
        return new Subject(lift, known, plan, sessions, aches, cleared, readiness, contest);
    }

    /** What is looked at. */
    CallRule.Scope scope() {
        if (contest.isPresent()) {
            return CallRule.Scope.CONTEST;
        }
        return lift.equals(WHOLE) ? CallRule.Scope.TRAINING : CallRule.Scope.LIFT;
    }

    /** The session that gave cause to look. */
    public SeenSession session() {
        return sessions.get(sessions.size() - 1);
    }

    /** The session's work sets of the lift. */
    public List<SeenSet> work() {
        return session().work(lift);
    }

    /** The sessions before it in which the lift was done, the newest first. */
    public List<SeenSession> before() {
        return IntStream.iterate(sessions.size() - 2, i -> i >= 0, i -> i - 1)
                .mapToObj(sessions::get)
                .filter(session -> session.has(lift))
                .toList();
    }

    /** The session of the lift before it, where it lies no more than four weeks back: further off nothing is in a row. */
    public Optional<SeenSession> last() {
        return inARow().stream().findFirst();
    }

    /** Those of the four weeks before it, the newest first. */
    List<SeenSession> inARow() {
        return before().stream().takeWhile(this::isRecent).toList();
    }

    private boolean isRecent(SeenSession before) {
        return !before.date().isBefore(session().date().minusWeeks(WEEKS_IN_A_ROW));
    }

    /** The lift's numbers as plans hang on them. */
    public LiftNumbers numbers() {
        return plan.resolver().numbers(lift);
    }

    /** Whether something hurts that the lift loads, or hurt in the session. */
    public boolean hurts() {
        return !sessions.isEmpty() && session().pain().isPresent() || !aches.isEmpty();
    }
}
