package dev.yarbel.web.contest;

import dev.yarbel.core.contest.ContestLog;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.web.book.UnplannedSessions;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes what a lifter did at a contest into their log, where maxes, calls and plans find it. */
@Service
@Transactional
class IntoTheLog {

    private final Taps taps;
    private final Events events;
    private final EntryRepository entries;
    private final Roster roster;
    private final UnplannedSessions sessions;
    private final Clock clock;

    IntoTheLog(
            Taps taps, Events events, EntryRepository entries, Roster roster, UnplannedSessions sessions, Clock clock) {
        this.taps = taps;
        this.events = events;
        this.entries = entries;
        this.roster = roster;
        this.sessions = sessions;
        this.clock = clock;
    }

    /**
     * What there is to write of a lifter's contest, each set by what tells it apart: writing it twice adds nothing. Nothing before the day of the
     * contest, and nothing of a lifter who is not the coach's.
     */
    @Transactional(readOnly = true)
    public Map<UUID, LiftedSet> toWrite(Person coach, ContestEntity contest, EntryEntity entry) {
        if (!contest.isCome(LocalDate.ofInstant(clock.instant(), coach.zone()))
                || entry.lifterId().isEmpty()) {
            return Map.of();
        }
        return contest.rules().isOfEvents() ? ofEvents(contest, entry) : ofLifts(contest, entry);
    }

    private Map<UUID, LiftedSet> ofLifts(ContestEntity contest, EntryEntity entry) {
        List<Lift> order = contest.rules().lifts();
        Map<UUID, LiftedSet> sets = new LinkedHashMap<>();
        taps.of(contest).stream()
                .filter(attempt -> attempt.entryId() == entry.id())
                .sorted(Comparator.comparing((AttemptEntity attempt) -> order.indexOf(attempt.lift()))
                        .thenComparing(AttemptEntity::number))
                .forEach(attempt -> attempt.lifted()
                        .ifPresent(lifted -> sets.put(
                                token(entry, attempt.lift().key() + " " + attempt.number()),
                                ContestLog.attempt(attempt.lift(), lifted, contest.rules()))));
        return sets;
    }

    private Map<UUID, LiftedSet> ofEvents(ContestEntity contest, EntryEntity entry) {
        Map<Long, ResultEntity> results = events.results(contest).stream()
                .filter(result -> result.entryId() == entry.id())
                .collect(Collectors.toMap(ResultEntity::eventId, result -> result));
        Map<UUID, LiftedSet> sets = new LinkedHashMap<>();
        for (EventEntity event : events.of(contest)) {
            Optional.ofNullable(results.get(event.id()))
                    .flatMap(result -> event.lift()
                            .flatMap(lift -> ContestLog.event(event.announced(), lift, result.result(event.measure()))))
                    .ifPresent(set -> sets.put(token(entry, "event " + event.id()), set));
        }
        return sets;
    }

    /** One set of one contest has the same token each time. */
    private static UUID token(EntryEntity entry, String which) {
        return UUID.nameUUIDFromBytes(("contest " + entry.id() + " " + which).getBytes(StandardCharsets.UTF_8));
    }

    /**
     * @return how many sets the day has
     * @throws UnreadableException when there is nothing to write
     */
    public int write(Person coach, ContestEntity contest, EntryEntity entry) {
        Map<UUID, LiftedSet> sets = toWrite(coach, contest, entry);
        if (sets.isEmpty()) {
            throw new UnreadableException("contest.log.nothing").in("log");
        }
        LifterCard lifter = roster.lifter(coach, entry.lifterId().orElseThrow());
        sessions.logContest(coach, lifter, contest.on().orElseThrow(), sets);
        entry.logged(clock.instant());
        entries.save(entry);
        return sets.size();
    }
}
