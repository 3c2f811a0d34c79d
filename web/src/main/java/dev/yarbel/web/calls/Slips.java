package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.CallRule;
import dev.yarbel.core.adjust.Calls;
import dev.yarbel.core.adjust.Care;
import dev.yarbel.core.adjust.Finding;
import dev.yarbel.core.adjust.MoveWorkingMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.EditRecord;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.book.LifterQuestions;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.LifterChooser;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.OpenCalls;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The queue of slips and their answers. A slip is answered once; what it proposes is worked out when it is looked at. */
@Service
@Transactional
class Slips implements OpenCalls {

    private static final int MOST_ANSWERED = 100;
    private static final int LONGEST_PUT_OFF = 100;
    /** So long something that is only to be known is shown. */
    private static final Duration NEWS = Duration.ofDays(14);

    private final SlipRepository slips;
    private final JudgedCallRepository judged;
    private final Accounts accounts;
    private final Roster roster;
    private final Blocks blocks;
    private final Findings findings;
    private final RuleSettings settings;
    private final Book book;
    private final LifterQuestions questions;
    private final Words words;
    private final Ledger ledger;
    private final Clock clock;

    Slips(
            SlipRepository slips,
            JudgedCallRepository judged,
            Accounts accounts,
            Roster roster,
            Blocks blocks,
            Findings findings,
            RuleSettings settings,
            Book book,
            LifterQuestions questions,
            Words words,
            Ledger ledger,
            Clock clock) {
        this.slips = slips;
        this.judged = judged;
        this.accounts = accounts;
        this.roster = roster;
        this.blocks = blocks;
        this.findings = findings;
        this.settings = settings;
        this.book = book;
        this.questions = questions;
        this.words = words;
        this.ledger = ledger;
        this.clock = clock;
    }

    /** What came of an answer. */
    enum Came {
        DONE,
        /** Answered before, by this or another person. */
        ANSWERED_ALREADY,
        /** Numbers or plan changed since the slip was shown: it must be looked at again. */
        CHANGED_MEANWHILE
    }

    /** From where on a rule speaks after what it found was left again. */
    record Learnt(String rule, BigDecimal threshold) {}

    /**
     * What came of an answer.
     *
     * @param learnt what was learnt from it, where it was the third of a kind
     */
    record Outcome(Came came, Optional<Learnt> learnt) {

        private static Outcome done() {
            return of(Came.DONE);
        }

        static Outcome of(Came came) {
            return new Outcome(came, Optional.empty());
        }
    }

    @Override
    @Transactional(readOnly = true)
    public Map<Long, Long> openByLifter(Person coach, Collection<Long> lifterIds) {
        return open(lifterIds, coach).stream()
                .filter(slip ->
                        Calls.rule(slip.rule()).filter(rule -> !rule.isQuiet()).isPresent())
                .filter(slip -> !slip.isPutOff(today(coach)))
                .collect(Collectors.groupingBy(Slip::lifterId, LinkedHashMap::new, Collectors.counting()));
    }

    private List<Slip> open(Collection<Long> lifterIds, Person coach) {
        return lifterIds.isEmpty() ? List.of() : slips.findOpen(coach.clubId(), lifterIds);
    }

    /**
     * The queue, most urgent first, with what is only to be known at its end as long as it is news.
     *
     * @param lifters those the coach sees
     */
    @Transactional(readOnly = true)
    public List<SlipLine> queue(Person coach, List<LifterChooser.Choice> lifters) {
        Map<Long, LifterChooser.Choice> byId =
                lifters.stream().collect(Collectors.toMap(LifterChooser.Choice::id, Function.identity()));
        Instant since = clock.instant().minus(NEWS);
        LocalDate today = today(coach);
        return open(byId.keySet(), coach).stream()
                .map(slip -> new SlipLine(
                        slip.id(),
                        byId.get(slip.lifterId()),
                        slip.lift(),
                        slip.cause(),
                        slip.rule(),
                        slip.proposes(),
                        slip.raises(),
                        slip.size(),
                        slip.openedAt(),
                        slip.isPutOff(today) ? slip.putOffUntil() : Optional.empty()))
                .filter(line -> !line.isQuiet() || line.openedAt().isAfter(since))
                .sorted(SlipLine.BY_URGENCY)
                .toList();
    }

    /**
     * Who answered a slip, how and when.
     *
     * @throws NotFoundException when there is none of this number, or not for this coach, or nobody has answered it
     */
    @Transactional(readOnly = true)
    public SlipAnswer answer(Person coach, long id) {
        Slip slip = slips.findByClubIdAndId(coach.clubId(), id).orElseThrow(NotFoundException::new);
        roster.lifter(coach, slip.lifterId());
        return slip.answer()
                .map(answer -> new SlipAnswer(
                        answer.by().map(by -> accounts.name(coach.clubId(), by)).orElse(""),
                        answer.status().name(),
                        answer.at()))
                .orElseThrow(NotFoundException::new);
    }

    private LocalDate today(Person coach) {
        return LocalDate.ofInstant(clock.instant(), coach.zone());
    }

    /**
     * Puts a slip out of sight until a day; what a newer session says comes all the same.
     *
     * @throws UnreadableException when the day is not among the next hundred
     */
    public Came putOff(Person coach, long id, LocalDate until) {
        Slip slip = lock(coach, id);
        if (!slip.isOpen()) {
            return Came.ANSWERED_ALREADY;
        }
        LocalDate today = today(coach);
        if (!until.isAfter(today) || until.isAfter(today.plusDays(LONGEST_PUT_OFF))) {
            throw new UnreadableException("calls.error.until", String.valueOf(LONGEST_PUT_OFF)).in("until");
        }
        slip.putOff(until);
        return Came.DONE;
    }

    /** An open slip of the queue as things stand now. */
    @Transactional(readOnly = true)
    public SlipView view(Person coach, SlipLine line) {
        LifterBlock plan = plan(coach, line.lifter().id());
        return SlipView.of(line, plan, call(plan, line.lift(), line.cause(), line.rule()));
    }

    private LifterBlock plan(Person coach, long lifterId) {
        LifterCard lifter = roster.lifter(coach, lifterId);
        return blocks.currentOrNone(lifter, coach.zone());
    }

    /** What there is to decide, by the rule that gave the slip; empty when there is nothing left. */
    private Optional<Call> call(LifterBlock plan, Lift lift, Cause cause, String rule) {
        LifterCard lifter = plan.lifter();
        List<Finding> found = findings.look(plan, lift, cause, settings.of(lifter.clubId(), lifter.id()));
        return found.stream()
                .filter(finding -> finding.rule().equals(rule))
                .findFirst()
                .map(finding -> new Call(
                        finding,
                        finding.proposal().changes(plan.ahead()),
                        finding.proposal().weeks(plan.ahead()),
                        care(plan, lift, rule),
                        found.stream().filter(other -> other != finding).toList()));
    }

    private static Optional<Care> care(LifterBlock plan, Lift lift, String rule) {
        return Calls.rule(rule)
                .flatMap(CallRule::care)
                .filter(care -> care.concerns(plan.standing().catalogue().of(lift)));
    }

    private Handlers handlers(LifterBlock plan, Slip slip) {
        return new Handlers(book, blocks, ledger, questions, words, plan, slip.cause());
    }

    /**
     * Answers a slip: takes what is proposed or puts the coach's own figure in its place, if the slip still is what was shown; or
     * leaves things as they are.
     *
     * @throws UnreadableException when the figure cannot be used, or is far off and nobody has stood by it
     */
    public Outcome answer(Person coach, long id, How how, Reply reply) {
        return switch (how) {
            case TAKE -> decide(coach, id, reply, Slip.Status.TAKEN, ChangeKind.CALL_TAKEN);
            case CHANGE -> decide(coach, id, reply, Slip.Status.CHANGED, ChangeKind.CALL_CHANGED);
            case LEAVE -> leave(coach, id, reply.why());
        };
    }

    private Outcome decide(Person coach, long id, Reply reply, Slip.Status answer, ChangeKind kind) {
        Slip slip = lock(coach, id);
        if (!slip.isOpen()) {
            return Outcome.of(Came.ANSWERED_ALREADY);
        }
        LifterBlock plan = plan(coach, slip.lifterId());
        Optional<Call> call = call(plan, slip.lift(), slip.cause(), slip.rule())
                .filter(now -> now.fingerprint().equals(reply.shown()));
        if (call.isEmpty()) {
            return Outcome.of(Came.CHANGED_MEANWHILE);
        }
        Handling handling = handlers(plan, slip).of(call.get().finding().proposal());
        if (answer == Slip.Status.CHANGED) {
            handling = handling.own(reply, plan.lifter().unit());
        }
        if (handling.raises() && Findings.hurts(plan, slip.lift(), slip.cause())) {
            throw new UnreadableException("calls.error.hurts").in("own");
        }
        Optional<Long> entry = handling.take(new Handling.Decision(coach, plan.lifter(), kind, reply.why()));
        if (entry.isEmpty()) {
            return Outcome.of(Came.CHANGED_MEANWHILE);
        }
        slip.answer(answer, clock.instant(), coach.accountId(), entry.get());
        settings.notLeft(coach, slip.rule());
        return Outcome.done();
    }

    /**
     * Takes a slip that was just opened without asking, in the name of the lifter's coach, within the caller's transaction; where it does
     * not go it stays open.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void takeByItself(LifterBlock plan, Lift lift, long session, Finding finding) {
        LifterCard lifter = plan.lifter();
        slips.findOpenOf(lifter.clubId(), session, lift, finding.rule()).ifPresent(slip -> {
            Person coach = accounts.member(lifter.clubId(), roster.coachOf(lifter));
            handlers(plan, slip)
                    .of(finding.proposal())
                    .take(new Handling.Decision(coach, lifter, ChangeKind.CALL_BY_ITSELF, Optional.empty()))
                    .ifPresent(entry -> slip.answer(Slip.Status.BY_ITSELF, clock.instant(), coach.accountId(), entry));
        });
    }

    /** Leaves things as they are; that, too, is a decision on record. */
    private Outcome leave(Person coach, long id, Optional<String> why) {
        Slip slip = lock(coach, id);
        if (!slip.isOpen()) {
            return Outcome.of(Came.ANSWERED_ALREADY);
        }
        LifterBlock plan = plan(coach, slip.lifterId());
        String stands = call(plan, slip.lift(), slip.cause(), slip.rule())
                .map(call -> handlers(plan, slip)
                        .of(call.finding().proposal())
                        .stands(plan.lifter().unit()))
                .orElse("");
        long entry = ledger.decide(
                coach, plan.lifter(), ChangeKind.CALL_LEFT, slip.lift(), why, stands, stands, Optional.empty());
        slip.answer(Slip.Status.LEFT, clock.instant(), coach.accountId(), entry);
        return new Outcome(Came.DONE, settings.left(coach, slip.rule()).map(now -> new Learnt(slip.rule(), now)));
    }

    /**
     * Takes an answer back: what it moved stands where it stood, and the slip waits again. That goes until a later
     * decision stands on the answer.
     *
     * @return whether it was taken back
     * @throws dev.yarbel.web.block.BlockRefused when somebody wrote something else there meanwhile, or it was lifted
     */
    public boolean takeBack(Person coach, long id) {
        Slip slip = lock(coach, id);
        if (slip.isOpen()
                || slip.status() == Slip.Status.TAKEN_BACK
                || slip.answerEntry().isEmpty()) {
            return false;
        }
        LifterCard lifter = roster.lifter(coach, slip.lifterId());
        if (!undo(coach, lifter, slip)) {
            return false;
        }
        judged.forget(slip.clubId(), slip.id());
        if (slip.status() == Slip.Status.LEFT) {
            settings.notLeftAfterAll(coach, slip.rule());
        }
        if (slips.existsByClubIdAndLifterIdAndLiftAndStatus(
                lifter.clubId(), lifter.id(), slip.lift(), Slip.Status.OPEN)) {
            slip.takeBack();
        } else {
            slip.reopen();
        }
        return true;
    }

    /** Puts back what an answer did; one that did nothing is only said to be taken back. */
    private boolean undo(Person coach, LifterCard lifter, Slip slip) {
        long entry = slip.answerEntry().orElseThrow();
        if (ledger.isOvertaken(lifter, entry)) {
            return false;
        }
        slip.cause().session().ifPresent(session -> questions.withdraw(lifter, session, slip.lift()));
        Ledger.Done done = ledger.done(lifter, entry);
        if (done.block().isPresent()) {
            return undo(coach, lifter, slip, done.block().get(), entry);
        }
        if (done.moved().isPresent()) {
            Ledger.MovedMax moved = done.moved().get();
            MoveWorkingMax back = new MoveWorkingMax(slip.lift(), moved.after(), moved.before());
            return new WorkingMaxMoved(book, back)
                    .take(new Handling.Decision(coach, lifter, ChangeKind.CALL_TAKEN_BACK, Optional.empty()))
                    .isPresent();
        }
        ledger.decide(
                coach, lifter, ChangeKind.CALL_TAKEN_BACK, slip.lift(), Optional.empty(), "", "", Optional.empty());
        return true;
    }

    private boolean undo(Person coach, LifterCard lifter, Slip slip, long block, long entry) {
        return blocks.open(lifter, coach.zone(), Optional.of(block))
                .flatMap(plan -> {
                    Optional<Ledger.Decision> decision = Optional.ofNullable(
                            ledger.decisions(lifter.clubId(), List.of(entry)).get(entry));
                    EditRecord record = new EditRecord(
                            ChangeKind.CALL_TAKEN_BACK,
                            List.of(slip.lift().key()),
                            decision.map(made -> made.change().after()).orElse(""),
                            decision.map(made -> made.change().before()).orElse(""));
                    return blocks.takeBack(coach, blocks.hold(plan), entry, record);
                })
                .isPresent();
    }

    /** The latest answers, newest first. */
    @Transactional(readOnly = true)
    public List<AnsweredLine> answered(Person coach, List<LifterChooser.Choice> lifters) {
        if (lifters.isEmpty()) {
            return List.of();
        }
        Map<Long, LifterChooser.Choice> byId =
                lifters.stream().collect(Collectors.toMap(LifterChooser.Choice::id, Function.identity()));
        List<Slip> all = slips.findAnswered(coach.clubId(), byId.keySet(), Limit.of(MOST_ANSWERED));
        Map<Long, Ledger.Decision> decisions = ledger.decisions(
                coach.clubId(),
                all.stream().flatMap(slip -> slip.answerEntry().stream()).toList());
        return all.stream()
                .map(slip ->
                        line(slip, byId.get(slip.lifterId()), slip.answerEntry().map(decisions::get)))
                .toList();
    }

    private static AnsweredLine line(Slip slip, LifterChooser.Choice lifter, Optional<Ledger.Decision> decision) {
        return new AnsweredLine(
                slip.id(),
                lifter,
                slip.lift(),
                slip.status().name(),
                decision.flatMap(d -> d.change().why()).orElse(null),
                decision.map(d -> d.change().before()).orElse(""),
                decision.map(d -> d.change().after()).orElse(""),
                decision.map(d -> d.change().who()).orElse(""),
                slip.answeredAt(),
                decision.filter(Ledger.Decision::stands).isPresent() && slip.status() != Slip.Status.TAKEN_BACK);
    }

    private Slip lock(Person coach, long id) {
        Slip slip = slips.lock(coach.clubId(), id).orElseThrow(NotFoundException::new);
        roster.lifter(coach, slip.lifterId());
        return slip;
    }
}
