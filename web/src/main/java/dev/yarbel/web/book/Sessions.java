package dev.yarbel.web.book;

import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.Amendment;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.FloorNotifier;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes down sessions as they are lifted: sets, what was changed of the day on the floor, and what was said of them.
 * Whoever calls has asked the roster for the lifter.
 */
@Service
@Transactional
public class Sessions {

    private static final int AT_ONCE = 200;

    private final TrainingSessionRepository sessions;
    private final LoggedSetRepository sets;
    private final AmendmentRepository amendments;
    private final Ledger ledger;
    private final FloorNotifier moved;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Sessions(
            TrainingSessionRepository sessions,
            LoggedSetRepository sets,
            AmendmentRepository amendments,
            Ledger ledger,
            FloorNotifier moved,
            ApplicationEventPublisher events,
            Clock clock) {
        this.sessions = sessions;
        this.sets = sets;
        this.amendments = amendments;
        this.ledger = ledger;
        this.moved = moved;
        this.events = events;
        this.clock = clock;
    }

    /**
     * Logs a set. The session begins with its first set.
     *
     * <p>The same set sent twice, by a double tap or after a line that broke, is kept once; sent again by the same token
     * with other figures it is a correction.
     *
     * @param planned what the plan asks for now, a line a slot; what stood there when the session began stays with it
     * @throws SetTaken when this set of the day was logged before by another token, with other figures
     */
    public void log(Person person, LifterCard lifter, PlannedDay day, LocalDate date, Sent sent, String planned)
            throws SetTaken {
        TrainingSession session = session(lifter, day, date, planned);
        DoneSet done = sent.done();
        Optional<LoggedSet> before = sets.findByClubIdAndSessionIdAndTask(
                lifter.clubId(), session.id(), done.task().toString());
        if (before.filter(set -> set.token().equals(sent.token())).isEmpty() && isKept(lifter, session, sent.token())) {
            return;
        }
        if (before.isEmpty()) {
            sets.save(new LoggedSet(lifter.clubId(), session.id(), sent.token(), done, sent.at(), clock.instant()));
            moved.tell(lifter.clubId(), lifter.id(), sent.token());
            lookAgain(lifter, session);
        } else if (before.get().token().equals(sent.token())) {
            rewrite(person, lifter, session, before.get(), done);
        } else if (!before.get().done().equals(done)) {
            throw new SetTaken(before.get().done());
        }
    }

    /**
     * Whether a set came by this token before and is another one of the session now.
     *
     * @throws ForeignTokenException when it is one of another session
     */
    private boolean isKept(LifterCard lifter, TrainingSession session, UUID token) {
        Optional<LoggedSet> kept = sets.findByClubIdAndToken(lifter.clubId(), token);
        if (kept.filter(set -> set.sessionId() != session.id()).isPresent()) {
            throw new ForeignTokenException();
        }
        return kept.isPresent();
    }

    /** A set of a session that was finished before it came, or was corrected since: those who looked at it look again. */
    private void lookAgain(LifterCard lifter, TrainingSession session) {
        if (session.finishedAt() != null) {
            judge(session);
            events.publishEvent(new SessionFinished(lifter.clubId(), lifter.id(), session.id()));
        }
    }

    private void judge(TrainingSession session) {
        session.judge(sets.findByClubIdAndSessionIdOrderById(session.clubId(), session.id()).stream()
                .map(LoggedSet::done)
                .toList());
    }

    /**
     * Judges some of a club's finished sessions of earlier versions, which did not.
     *
     * @param after the number of the last one looked at before
     * @return the number of the last one looked at; empty when there was none left
     */
    Optional<Long> judgeEarlier(long clubId, long after) {
        List<TrainingSession> some = sessions.findUnjudged(clubId, after, Limit.of(AT_ONCE));
        some.forEach(this::judge);
        return some.stream().map(TrainingSession::id).reduce((first, last) -> last);
    }

    private TrainingSession session(LifterCard lifter, PlannedDay day, LocalDate date, String planned) {
        Instant now = clock.instant();
        sessions.begin(lifter.clubId(), lifter.id(), date, day.day(), day.week(), now, planned);
        return sessions.lockDay(lifter.clubId(), lifter.id(), day.day(), day.week())
                .orElseThrow();
    }

    private TrainingSession begun(LifterCard lifter, PlannedDay day) {
        return sessions.lockDay(lifter.clubId(), lifter.id(), day.day(), day.week())
                .orElseThrow(NotFoundException::new);
    }

    /**
     * How far a session is.
     *
     * @param lastSet when its last set was lifted
     */
    public record State(boolean finished, Optional<Instant> lastSet) {}

    /** How far the session of a day is; empty when it has not begun. */
    @Transactional(readOnly = true)
    public Optional<State> state(long clubId, long lifterId, PlannedDay day) {
        return sessions.findByClubIdAndLifterIdAndPlanDayAndPlanWeek(clubId, lifterId, day.day(), day.week())
                .map(session -> new State(
                        session.finishedAt() != null, Optional.ofNullable(sets.lastLogged(clubId, session.id()))));
    }

    /** The changes made on the floor to a day, which stand, in the order they were made. */
    @Transactional(readOnly = true)
    public List<FloorChange> changes(LifterCard lifter, SessionLog session) {
        return amendments.standing(lifter.clubId(), session.id()).stream()
                .map(AmendmentEntity::change)
                .toList();
    }

    /** The lifters of a club who began a session since then and have not finished it, or only lately. */
    @Transactional(readOnly = true)
    public Set<Long> begunSince(long clubId, Instant since) {
        return Set.copyOf(sessions.begunSince(clubId, since));
    }

    /** Lays a change over what a day asks for; the same one sent twice is kept once. */
    public void amend(
            Person person,
            LifterCard lifter,
            PlannedDay day,
            LocalDate date,
            UUID token,
            Amendment amendment,
            Optional<String> reason,
            String planned) {
        TrainingSession session = session(lifter, day, date, planned);
        if (amendments
                .findByClubIdAndSessionIdAndToken(lifter.clubId(), session.id(), token)
                .isEmpty()) {
            amendments.save(new AmendmentEntity(lifter.clubId(), session.id(), token, amendment, reason)
                    .madeBy(person, clock.instant()));
            moved.tell(lifter.clubId(), lifter.id());
        }
    }

    /**
     * Lays several changes over what a day asks for, for one reason and at once; the same ones sent twice are kept once.
     *
     * @param once what tells them from others
     */
    public void amend(
            Person person,
            LifterCard lifter,
            PlannedDay day,
            LocalDate date,
            UUID once,
            List<Amendment> changes,
            Optional<String> reason,
            String planned) {
        for (int at = 0; at < changes.size(); at++) {
            UUID token = UUID.nameUUIDFromBytes((once + " " + at).getBytes(StandardCharsets.UTF_8));
            amend(person, lifter, day, date, token, changes.get(at), reason, planned);
        }
    }

    /**
     * Takes a change of a day back, as whoever made it or a coach may.
     *
     * @throws AccessDeniedException for a lifter who did not make it
     */
    public void takeBack(Person person, LifterCard lifter, PlannedDay day, UUID token) {
        TrainingSession session = begun(lifter, day);
        AmendmentEntity amendment = amendments
                .findByClubIdAndSessionIdAndToken(lifter.clubId(), session.id(), token)
                .orElseThrow(NotFoundException::new);
        if (!amendment.change().isTakenBackBy(person)) {
            throw new AccessDeniedException("what the coach gave is the coach's to take back");
        }
        amendment.takeBack(clock.instant());
        moved.tell(lifter.clubId(), lifter.id());
    }

    /**
     * A set that was logged was another one of the day: a warm-up that is the top set. Nothing happens where that one was
     * logged already, or where it has been done before.
     */
    public void retask(Person person, LifterCard lifter, PlannedDay day, TaskKey from, TaskKey to) {
        TrainingSession session = begun(lifter, day);
        Optional<LoggedSet> set = sets.findByClubIdAndSessionIdAndTask(lifter.clubId(), session.id(), from.toString());
        boolean taken = sets.findByClubIdAndSessionIdAndTask(lifter.clubId(), session.id(), to.toString())
                .isPresent();
        if (set.isPresent() && !taken) {
            DoneSet before = set.get().done();
            set.get().task(to);
            ledger.write(
                    person,
                    lifter,
                    ChangeKind.SET_RETASKED,
                    List.of(before.set().lift().key(), from.toString(), to.toString()),
                    Optional.empty(),
                    from.toString(),
                    to.toString());
            moved.tell(lifter.clubId(), lifter.id());
            lookAgain(lifter, session);
        }
    }

    /** Keeps how the lifter is before a session, in the order of {@link SessionRatings#BEFORE}, each 1 to 7. */
    public void rateBefore(LifterCard lifter, PlannedDay day, LocalDate date, List<Integer> ratings, String planned) {
        session(lifter, day, date, planned).ratings().before(ratings);
        moved.tell(lifter.clubId(), lifter.id());
    }

    /** Keeps what a coach who watched says of a set. */
    public void see(LifterCard lifter, PlannedDay day, TaskKey task, CoachSeen seen) {
        witness(lifter, begun(lifter, day), task, details -> details.seenBy(seen));
    }

    /** Keeps what a clip of a set shows: nothing that was lifted changes, only what is known of it. */
    public void witness(LifterCard lifter, long number, TaskKey task, UnaryOperator<SetDetails> shown) {
        TrainingSession session = sessions.findByClubIdAndLifterIdAndId(lifter.clubId(), lifter.id(), number)
                .orElseThrow(NotFoundException::new);
        witness(lifter, session, task, shown);
    }

    private void witness(LifterCard lifter, TrainingSession session, TaskKey task, UnaryOperator<SetDetails> shown) {
        LoggedSet set = sets.findByClubIdAndSessionIdAndTask(lifter.clubId(), session.id(), task.toString())
                .orElseThrow(NotFoundException::new);
        LiftedSet lifted = set.done().set();
        SetDetails details = shown.apply(lifted.details());
        set.set(lifted.with(details));
        moved.tell(lifter.clubId(), lifter.id());
        if (details.coach().link().isPresent() && session.finishedAt() != null) {
            // what a coach saw may be what somebody waits for
            events.publishEvent(new SessionFinished(lifter.clubId(), lifter.id(), set.sessionId()));
        }
    }

    /** Keeps a coach's words on a whole session; none strike them. */
    public void noteOn(LifterCard lifter, PlannedDay day, Optional<String> words) {
        begun(lifter, day).ratings().coachNote(words.orElse(null));
        moved.tell(lifter.clubId(), lifter.id());
    }

    /** Corrects a set that was logged; what it said before stays in the ledger. */
    public void correct(Person person, LifterCard lifter, PlannedDay day, DoneSet done) {
        correct(person, lifter, begun(lifter, day), done);
    }

    /** Keeps what became of sets that are more or fewer than planned, as the lifter says of it later on. */
    void count(LifterCard lifter, long number, SessionRatings.CountSaid said) {
        sessions.findByClubIdAndLifterIdAndId(lifter.clubId(), lifter.id(), number)
                .orElseThrow(NotFoundException::new)
                .ratings()
                .count(said);
    }

    /**
     * Corrects a set as its lifter said; whoever looked at the session looks again, even where it stands as it was.
     *
     * @throws NotFoundException when there is no such set
     */
    void correct(Person person, LifterCard lifter, long number, TaskKey task, UnaryOperator<LiftedSet> correction) {
        TrainingSession session = sessions.findByClubIdAndLifterIdAndId(lifter.clubId(), lifter.id(), number)
                .orElseThrow(NotFoundException::new);
        LoggedSet set = sets.findByClubIdAndSessionIdAndTask(lifter.clubId(), number, task.toString())
                .orElseThrow(NotFoundException::new);
        DoneSet corrected = new DoneSet(task, correction.apply(set.done().set()));
        if (set.done().equals(corrected)) {
            lookAgain(lifter, session);
        } else {
            rewrite(person, lifter, session, set, corrected);
        }
    }

    void correct(Person person, LifterCard lifter, TrainingSession session, DoneSet done) {
        LoggedSet set = sets.findByClubIdAndSessionIdAndTask(
                        lifter.clubId(), session.id(), done.task().toString())
                .orElseThrow(NotFoundException::new);
        rewrite(person, lifter, session, set, done);
    }

    /** A set says something else from now on; what it said before stays in the ledger. */
    void rewrite(Person person, LifterCard lifter, TrainingSession session, LoggedSet set, DoneSet done) {
        DoneSet before = set.done();
        if (!before.equals(done)) {
            set.set(done.set());
            moved.tell(lifter.clubId(), lifter.id());
            lookAgain(lifter, session);
            ledger.write(
                    person,
                    lifter,
                    ChangeKind.SET_CORRECTED,
                    List.of(done.set().lift().key(), done.task().toString()),
                    Optional.empty(),
                    WrittenSet.of(before, lifter.unit()).toString(),
                    WrittenSet.of(done, lifter.unit()).toString());
        }
    }

    /**
     * Writes down a session that was lifted and finished before.
     *
     * @param planned the day of a plan it answers; empty when there was no plan
     * @param heard whether those who wait for finished sessions hear of it
     */
    public void addHistory(
            LifterCard lifter,
            Optional<PlannedDay> planned,
            LocalDate date,
            Instant at,
            List<DoneSet> lifted,
            boolean heard) {
        addHistory(lifter, planned, "", date, at, lifted, heard);
    }

    /**
     * The same with what the day had asked for.
     *
     * @param asked as {@link dev.yarbel.core.session.AskedDay} has it; empty where nobody kept it
     */
    public void addHistory(
            LifterCard lifter,
            Optional<PlannedDay> planned,
            String asked,
            LocalDate date,
            Instant at,
            List<DoneSet> lifted,
            boolean heard) {
        TrainingSession session = planned.map(day -> session(lifter, day, date, asked))
                .orElseGet(() -> {
                    sessions.beginUnplanned(lifter.clubId(), lifter.id(), date, at);
                    return sessions.lockUnplanned(lifter.clubId(), lifter.id(), date)
                            .orElseThrow();
                });
        for (DoneSet done : lifted) {
            sets.save(new LoggedSet(lifter.clubId(), session.id(), UUID.randomUUID(), done, at, at));
        }
        session.finish(at, null);
        session.judge(lifted);
        if (heard) {
            events.publishEvent(new SessionFinished(lifter.clubId(), lifter.id(), session.id()));
        }
    }

    /** Finishes a session, once; those who wait for it hear of it after it is kept. */
    public void finish(LifterCard lifter, PlannedDay day, Finish said) {
        finish(lifter, begun(lifter, day), said);
    }

    /** The same for one of any kind, by its number. */
    void finish(LifterCard lifter, long number, Finish said) {
        finish(lifter, sessions.lock(lifter.clubId(), lifter.id(), number).orElseThrow(NotFoundException::new), said);
    }

    void finish(LifterCard lifter, TrainingSession session, Finish said) {
        if (session.finishedAt() == null) {
            session.finish(clock.instant(), said.pain().orElse(null));
            session.ratings().after(said.effort(), said.minutes(), said.count());
            judge(session);
            events.publishEvent(new SessionFinished(lifter.clubId(), lifter.id(), session.id()));
            moved.tell(lifter.clubId(), lifter.id());
        }
    }

    /** Opens a finished session again; what was said at its end stays until something else is said. */
    public void reopen(Person person, LifterCard lifter, PlannedDay day) {
        reopen(person, lifter, begun(lifter, day));
    }

    void reopen(Person person, LifterCard lifter, TrainingSession session) {
        if (session.finishedAt() != null) {
            session.reopen();
            ledger.write(
                    person,
                    lifter,
                    ChangeKind.SESSION_REOPENED,
                    List.of(String.valueOf(session.heldOn())),
                    Optional.empty(),
                    "",
                    "");
            moved.tell(lifter.clubId(), lifter.id());
        }
    }

    /**
     * What a lifter says at the end of a session.
     *
     * @param pain where it hurt, if anything did
     * @param effort of the whole session, 0 to 10
     * @param minutes it took
     * @param count what they say of sets more or fewer than planned
     */
    public record Finish(
            Optional<String> pain,
            Optional<Integer> effort,
            Optional<Integer> minutes,
            Optional<SessionRatings.CountSaid> count) {

        /** Nothing is said, or only where it hurt. */
        public static Finish of(Optional<String> pain) {
            return new Finish(pain, Optional.empty(), Optional.empty(), Optional.empty());
        }
    }

    /**
     * A set as it comes from a phone.
     *
     * @param token made by whoever sends it
     * @param at when it was lifted, which may be long before it comes
     */
    public record Sent(UUID token, DoneSet done, Instant at) {}

    /** This set of the day is in the log already, and says something else. */
    public static final class SetTaken extends Exception {

        private static final long serialVersionUID = 1;

        private final transient DoneSet logged;

        SetTaken(DoneSet logged) {
            this.logged = logged;
        }

        /** What the log says. */
        public DoneSet logged() {
            return logged;
        }
    }

    /**
     * A change made on the floor to what a day asks for.
     *
     * @param token made by whoever sent it
     * @param by the account that made it
     */
    public record FloorChange(
            UUID token, Amendment amendment, Optional<String> reason, long by, String byName, Instant at) {

        /** Whether this person may take it back: a coach, or whoever made it. */
        public boolean isTakenBackBy(Person person) {
            return person.isCoach() || by == person.accountId();
        }
    }
}
