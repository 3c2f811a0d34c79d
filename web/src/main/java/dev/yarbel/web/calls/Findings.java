package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.Calls;
import dev.yarbel.core.adjust.Caps;
import dev.yarbel.core.adjust.Finding;
import dev.yarbel.core.adjust.PlanAhead;
import dev.yarbel.core.adjust.Subject;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.SessionLog;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Asks the rules about a lifter's block and log as they stand now. */
@Component
class Findings {

    private final Calls calls = new Calls(Calls.RULES);

    /** What the rules find in a lift after a session, most urgent first; nothing once the session is out of the log's reach. */
    List<Finding> look(LifterBlock block, Lift lift, long sessionId) {
        Optional<LiftRecord> standing = block.standing().of(lift);
        Optional<SessionLog> session = block.standing().log().stream()
                .filter(logged -> logged.id() == sessionId)
                .findFirst();
        return standing.isEmpty() || session.isEmpty()
                ? List.of()
                : calls.look(subject(block, standing.get(), session.get()));
    }

    /** What rules look at when they look at a lifter's lift after a session. */
    private static Subject subject(LifterBlock block, LiftRecord standing, SessionLog session) {
        return new Subject(
                standing.lift(),
                new Subject.Known(
                        standing.workingMax(),
                        standing.estimate(),
                        block.lifter().shareOfEstimate(),
                        Caps.on(block.today(), block.lifter().noviceSince())),
                ahead(block),
                new LiftedSession(
                        session.date(),
                        session.sets().stream().map(DoneSet::set).toList()),
                session.pain(),
                block.lifter().aching(standing.lift(), block.standing().catalogue()));
    }

    static PlanAhead ahead(LifterBlock block) {
        return new PlanAhead(block.block(), block.resolver(), block.log(), block.projection(), block.today());
    }
}
