package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.CallRule;
import dev.yarbel.core.adjust.Calls;
import dev.yarbel.core.adjust.Evidence;
import dev.yarbel.core.adjust.Finding;
import dev.yarbel.core.adjust.Subject;
import dev.yarbel.core.adjust.Tuning;
import dev.yarbel.core.adjust.Urgency;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.web.account.Clubs;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.SessionFinished;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.contest.ContestMoved;
import dev.yarbel.web.roster.AcheCleared;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.modulith.events.ApplicationModuleListener;
import org.springframework.stereotype.Component;

/**
 * Looks at each finished session for what a coach should decide: one call for each lift of it. What weighs no more and is as old
 * is overtaken by it. Hearing of a session twice opens nothing twice.
 */
@Component
class SlipWriter {

    /** How long something that was left is not asked again. */
    private static final Duration REMEMBERED = Duration.ofDays(28);

    private static final String ASKED = "ask-lifter";

    private final SlipRepository slips;
    private final Slips answers;
    private final Roster roster;
    private final Blocks blocks;
    private final Findings findings;
    private final RuleSettings settings;
    private final Clubs clubs;
    private final Clock clock;

    SlipWriter(
            SlipRepository slips,
            Slips answers,
            Roster roster,
            Blocks blocks,
            Findings findings,
            RuleSettings settings,
            Clubs clubs,
            Clock clock) {
        this.slips = slips;
        this.answers = answers;
        this.roster = roster;
        this.blocks = blocks;
        this.findings = findings;
        this.settings = settings;
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

    /** The lifts that a cleared ache loaded come back; the last session there was is what they are judged by. */
    @ApplicationModuleListener
    void on(AcheCleared event) {
        LifterCard lifter = roster.lifterOfClub(event.clubId(), event.lifterId());
        blocks.current(lifter, clubs.zone(event.clubId())).ifPresent(plan -> plan.standing().log().stream()
                .filter(SessionLog::finished)
                .reduce((first, second) -> second)
                .ifPresent(last -> comeBack(plan, last)));
    }

    private void comeBack(LifterBlock plan, SessionLog last) {
        LifterCard lifter = plan.lifter();
        Tuning tuning = settings.of(lifter.clubId(), lifter.id());
        plan.block()
                .slots()
                .map(Slot::lift)
                .distinct()
                .filter(lift ->
                        !lifter.healed(lift, plan.standing().catalogue()).isEmpty())
                .forEach(lift -> findings.look(plan, lift, new Cause.OfSession(last.id()), tuning).stream()
                        .findFirst()
                        .filter(finding -> finding.evidence() instanceof Evidence.Healed)
                        .ifPresent(finding -> open(lifter, lift, last, finding)));
    }

    /** Plans that lead to a day on which the contest is no more, or to none where it has one now, are the coach's to decide about. */
    @ApplicationModuleListener
    void on(ContestMoved event) {
        event.lifterIds().forEach(id -> {
            LifterCard lifter = roster.lifterOfClub(event.clubId(), id);
            blocks.current(lifter, clubs.zone(event.clubId())).ifPresent(plan -> look(plan, event));
        });
    }

    private void look(LifterBlock plan, ContestMoved event) {
        LifterCard lifter = plan.lifter();
        Optional<LocalDate> leadsTo = plan.block().contest();
        Cause.OfContest cause = new Cause.OfContest(event.contestId(), leadsTo);
        Optional<Cause> open = slips.findOpenOfContest(lifter.clubId(), lifter.id(), event.contestId())
                .map(Slip::cause);
        if (open.isPresent() || leadsTo.equals(event.was())) {
            slips.overtakeContests(lifter.clubId(), lifter.id(), clock.instant());
        }
        // moved twice before anybody answered, the plan still leads to the first day
        if (open.filter(cause::equals).isPresent() || leadsTo.equals(event.was())) {
            findings.look(plan, Subject.CONTEST, cause, settings.of(lifter.clubId(), lifter.id())).stream()
                    .findFirst()
                    .ifPresent(finding -> slips.openOfContest(
                            lifter.clubId(),
                            lifter.id(),
                            Subject.CONTEST.key(),
                            cause.id(),
                            leadsTo.orElse(null),
                            clock.instant(),
                            finding.rule(),
                            finding.proposal().accept(new Names.OfProposal())));
        }
    }

    private void look(LifterBlock plan, SessionLog session) {
        LifterCard lifter = plan.lifter();
        Tuning tuning = settings.of(lifter.clubId(), lifter.id());
        List<Slip> answered = slips.findAnsweredSince(
                lifter.clubId(), lifter.id(), clock.instant().minus(REMEMBERED));
        Stream<Lift> lifted = session.sets().stream()
                .filter(done -> !done.task().warmUp())
                .map(done -> done.set().lift())
                .distinct();
        Stream.concat(lifted, Stream.of(Subject.WHOLE))
                .forEach(lift -> findings.look(plan, lift, new Cause.OfSession(session.id()), tuning).stream()
                        .filter(finding -> !isAnswered(finding, lift, session, answered))
                        .findFirst()
                        .ifPresent(finding -> {
                            open(lifter, lift, session, finding);
                            if (lifter.autopilot() && findings.isSmall(plan, lift, session.id(), finding)) {
                                answers.takeByItself(plan, lift, session.id(), finding);
                            }
                        }));
    }

    /**
     * Whether what was found needs no answer any more: the coach decided about the lift after this very session, and nothing weightier
     * came since; or what a rule finds after every session was left before and there is no more of it now than half a step. What the
     * lifter answered to a question is new.
     */
    private static boolean isAnswered(Finding finding, Lift lift, SessionLog session, List<Slip> answered) {
        CallRule rule = Calls.rule(finding.rule()).orElseThrow();
        List<Slip> ofSession = answered.stream()
                .filter(slip -> slip.cause().session().equals(Optional.of(session.id()))
                        && slip.lift().equals(lift))
                .toList();
        boolean again = ofSession.stream().anyMatch(slip -> slip.rule().equals(finding.rule()));
        boolean settled = ofSession.stream()
                .filter(slip -> !slip.proposes().equals(ASKED))
                .flatMap(slip -> Calls.rule(slip.rule()).stream())
                .anyMatch(decided -> rule.urgency().compareTo(decided.urgency()) >= 0);
        if (again || settled) {
            return true;
        }
        Percent more = rule.threshold()
                .map(threshold -> Percent.of(threshold.step().divide(BigDecimal.valueOf(2))))
                .orElse(Percent.ZERO);
        return rule.isStanding()
                && answered.stream()
                        .filter(slip -> slip.lift().equals(lift) && slip.rule().equals(finding.rule()))
                        .findFirst()
                        .filter(last -> last.status() == Slip.Status.LEFT
                                && last.raises() == finding.proposal().raises()
                                && !finding.proposal()
                                        .size()
                                        .isGreaterThan(last.size().plus(more)))
                        .isPresent();
    }

    private void open(LifterCard lifter, Lift lift, SessionLog session, Finding finding) {
        Instant now = clock.instant();
        Urgency urgency = Calls.rule(finding.rule()).orElseThrow().urgency();
        List<String> noWeightier = Calls.RULES.stream()
                .filter(rule -> rule.urgency().compareTo(urgency) >= 0)
                .map(CallRule::key)
                .toList();
        slips.overtake(lifter.clubId(), lifter.id(), lift.key(), session.id(), now, finding.rule(), noWeightier);
        slips.open(
                lifter.clubId(),
                lifter.id(),
                lift.key(),
                session.id(),
                now,
                finding.rule(),
                finding.proposal().accept(new Names.OfProposal()),
                finding.proposal().raises(),
                finding.proposal().size().figure());
    }
}
