package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.Finding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.account.Clubs;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.SessionFinished;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.time.Clock;
import java.util.Optional;
import org.springframework.modulith.events.ApplicationModuleListener;
import org.springframework.stereotype.Component;

/** Looks at each finished session for what a coach should decide. Hearing of one twice opens nothing twice. */
@Component
class SlipWriter {

    private final SlipRepository slips;
    private final Roster roster;
    private final Blocks blocks;
    private final Findings findings;
    private final Clubs clubs;
    private final Clock clock;

    SlipWriter(SlipRepository slips, Roster roster, Blocks blocks, Findings findings, Clubs clubs, Clock clock) {
        this.slips = slips;
        this.roster = roster;
        this.blocks = blocks;
        this.findings = findings;
        this.clubs = clubs;
        this.clock = clock;
    }

    @ApplicationModuleListener
    void on(SessionFinished event) {
        LifterCard lifter = roster.lifterOfClub(event.clubId(), event.lifterId());
        Optional<LifterBlock> plan = blocks.current(lifter, clubs.zone(event.clubId()));
        plan.ifPresent(p -> p.standing().log().stream()
                .filter(session -> session.id() == event.sessionId())
                .findFirst()
                .ifPresent(session -> look(p, session)));
    }

    private void look(LifterBlock plan, SessionLog session) {
        for (LiftRecord standing : plan.standing().lifts()) {
            boolean lifted =
                    session.sets().stream().anyMatch(done -> done.set().lift().equals(standing.lift()));
            if (lifted) {
                findings.look(plan, standing.lift(), session.id()).stream()
                        .findFirst()
                        .ifPresent(finding -> open(plan.lifter(), standing.lift(), session, finding));
            }
        }
    }

    private void open(LifterCard lifter, Lift lift, SessionLog session, Finding finding) {
        slips.open(
                lifter.clubId(),
                lifter.id(),
                lift.key(),
                session.id(),
                clock.instant(),
                finding.rule(),
                finding.proposal().raises(),
                finding.proposal().size().figure());
    }
}
