package dev.yarbel.web.book;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.page.FloorNotifier;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes down what was lifted without a plan that asked for it: on a free day, beside the plan, or at a contest. A day has one such session that
 * is open; its lifts are lettered in the order they come. Whoever calls has asked the roster for the lifter.
 */
@Service
@Transactional
public class UnplannedSessions {

    private static final int MOST_LIFTS = 26;
    private static final int MOST_SETS = 99;

    private final Sessions planned;
    private final TrainingSessionRepository sessions;
    private final LoggedSetRepository sets;
    private final FloorNotifier moved;
    private final Clock clock;

    UnplannedSessions(
            Sessions planned,
            TrainingSessionRepository sessions,
            LoggedSetRepository sets,
            FloorNotifier moved,
            Clock clock) {
        this.planned = planned;
        this.sessions = sessions;
        this.sets = sets;
        this.moved = moved;
        this.clock = clock;
    }

    /**
     * Logs a set in the open session of a day; the first one begins it. Sent twice by the same token it is kept once.
     *
     * @throws UnreadableException when the session has more lifts or sets than can be named
     */
    public void log(LifterCard lifter, LocalDate date, UUID token, LiftedSet set) {
        if (sets.findByClubIdAndToken(lifter.clubId(), token).isEmpty()) {
            add(lifter, date, Map.of(token, set));
            moved.tell(lifter.clubId(), lifter.id(), token);
        }
    }

    /**
     * Logs several sets in the open session of a day; the first one begins it.
     *
     * @return the session's number
     */
    long log(LifterCard lifter, LocalDate date, List<LiftedSet> lifted) {
        Map<UUID, LiftedSet> tokened = new LinkedHashMap<>();
        lifted.forEach(set -> tokened.put(UUID.randomUUID(), set));
        long session = add(lifter, date, tokened).id();
        moved.tell(lifter.clubId(), lifter.id());
        return session;
    }

    /**
     * Writes what was lifted at a contest down, in a session of its day; those who wait for finished sessions hear of it. Each set is kept
     * once by its token; one that is in the log and was told otherwise since is corrected.
     */
    public void logContest(Person person, LifterCard lifter, LocalDate date, Map<UUID, LiftedSet> lifted) {
        Map<UUID, LoggedSet> kept = kept(lifter, lifted.keySet());
        Map<Long, TrainingSession> held = kept.values().stream()
                .map(LoggedSet::sessionId)
                .distinct()
                .map(id -> locked(lifter, id))
                .collect(Collectors.toMap(TrainingSession::id, Function.identity()));
        kept.forEach((token, set) -> planned.rewrite(
                person,
                lifter,
                held.get(set.sessionId()),
                set,
                new DoneSet(set.done().task(), lifted.get(token))));
        if (kept.size() < lifted.size()) {
            add(lifter, date, lifted);
        }
        finish(lifter, date, Sessions.Finish.of(Optional.empty()));
    }

    /** Adds those that are not in the log yet, in their order. */
    private TrainingSession add(LifterCard lifter, LocalDate date, Map<UUID, LiftedSet> lifted) {
        Instant now = clock.instant();
        sessions.beginUnplanned(lifter.clubId(), lifter.id(), date, now);
        TrainingSession session =
                sessions.lockUnplanned(lifter.clubId(), lifter.id(), date).orElseThrow();
        // whoever came at the same moment has been waited for
        Map<UUID, LoggedSet> kept = kept(lifter, lifted.keySet());
        List<DoneSet> done =
                new ArrayList<>(sets.findByClubIdAndSessionIdOrderById(lifter.clubId(), session.id()).stream()
                        .map(LoggedSet::done)
                        .toList());
        lifted.forEach((token, set) -> {
            if (!kept.containsKey(token)) {
                DoneSet next = new DoneSet(next(done, set.lift()), set);
                done.add(next);
                sets.save(new LoggedSet(lifter.clubId(), session.id(), token, next, now, now));
            }
        });
        return session;
    }

    private Map<UUID, LoggedSet> kept(LifterCard lifter, Collection<UUID> tokens) {
        return sets.findByClubIdAndTokenIn(lifter.clubId(), tokens).stream()
                .collect(Collectors.toMap(LoggedSet::token, Function.identity()));
    }

    /** Lifts are lettered in the order they come, and their sets numbered. */
    private static TaskKey next(List<DoneSet> done, Lift lift) {
        List<Lift> lifts = Stream.concat(done.stream().map(set -> set.set().lift()), Stream.of(lift))
                .distinct()
                .toList();
        long before = done.stream().filter(set -> set.set().lift().equals(lift)).count();
        int at = lifts.indexOf(lift);
        if (at >= MOST_LIFTS || before >= MOST_SETS) {
            throw new UnreadableException("free.too-many").in("lift");
        }
        return TaskKey.work(String.valueOf((char) ('A' + at)), (int) before + 1);
    }

    /** Corrects a set; of a session that was finished since, it is opened first. */
    public void correct(Person person, LifterCard lifter, long id, DoneSet done) {
        TrainingSession session = locked(lifter, id);
        if (session.finishedAt() != null) {
            throw new UnreadableException("free.finished").in("lift");
        }
        planned.correct(person, lifter, session, done);
    }

    private TrainingSession locked(LifterCard lifter, long id) {
        return sessions.lockUnplanned(lifter.clubId(), lifter.id(), id).orElseThrow(NotFoundException::new);
    }

    /** Opens a finished one again on its day; not while another is open, which comes first. */
    public void reopen(Person person, LifterCard lifter, LocalDate date, long id) {
        TrainingSession session = locked(lifter, id);
        if (!session.heldOn().equals(date)) {
            throw new NotFoundException();
        }
        if (sessions.lockUnplanned(lifter.clubId(), lifter.id(), date).isEmpty()) {
            planned.reopen(person, lifter, session);
        }
    }

    /** Finishes the open one of a day; where none is open there is nothing to finish. */
    public void finish(LifterCard lifter, LocalDate date, Sessions.Finish said) {
        sessions.lockUnplanned(lifter.clubId(), lifter.id(), date)
                .ifPresent(open -> planned.finish(lifter, open, said));
    }
}
