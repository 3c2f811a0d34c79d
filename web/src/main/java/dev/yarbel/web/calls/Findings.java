package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.Autopilot;
import dev.yarbel.core.adjust.Calls;
import dev.yarbel.core.adjust.Caps;
import dev.yarbel.core.adjust.ContestSeen;
import dev.yarbel.core.adjust.Finding;
import dev.yarbel.core.adjust.SeenSession;
import dev.yarbel.core.adjust.Subject;
import dev.yarbel.core.adjust.Tuning;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.contest.LifterContests;
import dev.yarbel.web.roster.LifterCard;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Asks the rules about a lifter's block and log as they stand now. */
@Component
class Findings {

    private final Calls calls = new Calls(Calls.RULES);
    private final LifterContests contests;

    Findings(LifterContests contests) {
        this.contests = contests;
    }

    /**
     * What the rules find in a lift after a session, weightiest first, or in all of the training, or in a contest; nothing once the session
     * is out of the log's reach.
     */
    List<Finding> look(LifterBlock block, Lift lift, Cause cause, Tuning tuning) {
        if (cause instanceof Cause.OfContest of) {
            LifterCard lifter = block.lifter();
            ContestSeen contest = contests.seen(lifter.clubId(), lifter.id(), of.id(), of.was(), block.today());
            return calls.look(Subject.of(contest, block.ahead(), lifter.aches()), tuning);
        }
        List<SeenSession> seen = until(block, cause);
        if (seen.isEmpty()) {
            return List.of();
        }
        Subject subject = subject(block, lift, seen);
        return calls.look(
                lift.equals(Subject.WHOLE)
                        ? subject.with(Fatigue.of(block, subject.session().date()))
                        : subject,
                tuning);
    }

    /** The finished sessions up to one of them, oldest first; none where it is not among them. */
    private static List<SeenSession> until(LifterBlock block, Cause cause) {
        return cause.session().map(session -> until(block, session)).orElse(List.of());
    }

    private static List<SeenSession> until(LifterBlock block, long sessionId) {
        List<SeenSession> seen = new ArrayList<>();
        for (SessionLog session : block.standing().log()) {
            if (session.finished()) {
                seen.add(session.seen());
            }
            if (session.id() == sessionId) {
                return session.finished() ? seen : List.of();
            }
        }
        return List.of();
    }

    /** What rules look at when they look at a lifter's lift after a session. */
    private static Subject subject(LifterBlock block, Lift lift, List<SeenSession> seen) {
        Optional<LiftRecord> standing = block.standing().of(lift);
        return new Subject(
                        lift,
                        new Subject.Known(
                                standing.flatMap(LiftRecord::workingMax),
                                standing.flatMap(LiftRecord::estimate),
                                block.lifter().shareOfEstimate(),
                                Caps.on(block.today(), block.lifter().noviceSince()),
                                standing.filter(known -> !known.setDown().isEmpty()
                                                || known.workingMax().isPresent())
                                        .isPresent()),
                        block.ahead(),
                        seen,
                        block.lifter().aching(lift, block.standing().catalogue()))
                .healed(block.lifter().healed(lift, block.standing().catalogue()));
    }

    /** Whether what was found in a lift after a session is small enough to be done without asking. */
    boolean isSmall(LifterBlock block, Lift lift, long sessionId, Finding finding) {
        List<SeenSession> seen = until(block, sessionId);
        return !seen.isEmpty() && Autopilot.takes(finding, subject(block, lift, seen));
    }

    /** Whether something hurts that a lift loads, or hurt in a session. */
    static boolean hurts(LifterBlock block, Lift lift, Cause cause) {
        return !block.lifter().aching(lift, block.standing().catalogue()).isEmpty()
                || block.standing().log().stream()
                        .anyMatch(session -> cause.session().equals(Optional.of(session.id()))
                                && session.pain().isPresent());
    }
}
