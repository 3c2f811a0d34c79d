package dev.yarbel.web.contest;

import dev.yarbel.core.contest.EventResult;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the events of strongman contests and what was done in them. */
@Service
@Transactional
class Events {

    private final EventRepository events;
    private final ResultRepository results;
    private final EntryRepository entries;
    private final Book book;
    private final Roster roster;
    private final ContestLedger ledger;
    private final Clock clock;

    Events(
            EventRepository events,
            ResultRepository results,
            EntryRepository entries,
            Book book,
            Roster roster,
            ContestLedger ledger,
            Clock clock) {
        this.events = events;
        this.results = results;
        this.entries = entries;
        this.book = book;
        this.roster = roster;
        this.ledger = ledger;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<EventEntity> of(ContestEntity contest) {
        return events.of(contest.clubId(), contest.id());
    }

    @Transactional(readOnly = true)
    public List<ResultEntity> results(ContestEntity contest) {
        return results.of(contest.clubId(), contest.id());
    }

    /** @return its number */
    public long add(Person coach, ContestEntity contest, EventEntity.Set as) {
        ledger.write(coach, Optional.empty(), contest.name(), "event-added", "", as.name());
        int last = of(contest).stream().mapToInt(EventEntity::place).max().orElse(0);
        return events.save(new EventEntity(contest, as, last + 1)).id();
    }

    /**
     * What is announced of an event changes.
     *
     * @throws UnreadableException when it is to count otherwise and something was done in it already
     */
    public void change(Person coach, ContestEntity contest, long event, EventEntity.Set to) {
        EventEntity of = standing(contest, event);
        EventEntity.Set before = of.set();
        if (before.equals(to)) {
            return;
        }
        boolean counted = results(contest).stream().anyMatch(result -> result.eventId() == event);
        if (counted && before.announced().measure() != to.announced().measure()) {
            throw new UnreadableException("contest.error.event.counted").in("measure");
        }
        of.set(to);
        events.save(of);
        ledger.write(coach, Optional.empty(), contest.name(), "event-changed", before.name(), to.name());
    }

    /** It is held before the one that is held before it now. */
    public void earlier(ContestEntity contest, long event) {
        List<EventEntity> order = new ArrayList<>(of(contest));
        int at = order.indexOf(standing(contest, event));
        if (at > 0) {
            Collections.swap(order, at - 1, at);
            for (int i = 0; i < order.size(); i++) {
                order.get(i).place(i + 1);
                events.save(order.get(i));
            }
        }
    }

    private EventEntity standing(ContestEntity contest, long event) {
        return Optional.of(any(contest, event)).filter(of -> !of.isRemoved()).orElseThrow(NotFoundException::new);
    }

    /** Strikes an event, or brings it back with all that was done in it. */
    public void removed(Person coach, ContestEntity contest, long event, boolean removed) {
        EventEntity of = any(contest, event);
        if (of.isRemoved() != removed) {
            ledger.write(
                    coach,
                    Optional.empty(),
                    contest.name(),
                    removed ? "event-removed" : "event-brought-back",
                    removed ? of.name() : "",
                    removed ? "" : of.name());
        }
        of.removed(removed ? clock.instant() : null);
        events.save(of);
    }

    private EventEntity any(ContestEntity contest, long event) {
        return events.findByClubIdAndContestIdAndId(contest.clubId(), contest.id(), event)
                .orElseThrow(NotFoundException::new);
    }

    /**
     * Sets the event's load as the one announced for the coach's own lifters who are entered, so that their plans hang on it.
     *
     * @return whose
     * @throws UnreadableException when it has no load, or is none of the club's lifts
     */
    public List<LifterCard> announce(Person coach, ContestEntity contest, long event) {
        EventEntity of = any(contest, event);
        if (of.load().isEmpty() || of.lift().isEmpty()) {
            throw new UnreadableException("contest.error.announce").in("load");
        }
        Map<Long, LifterCard> mine =
                roster.lifters(coach).stream().collect(Collectors.toMap(LifterCard::id, Function.identity()));
        List<LifterCard> told = entries.of(contest.clubId(), contest.id()).stream()
                .flatMap(entry -> entry.lifterId().map(mine::get).stream())
                .toList();
        told.forEach(lifter -> book.announce(coach, lifter, of.lift().get(), of.load()));
        return told;
    }

    /**
     * What somebody did, or is expected to.
     *
     * @param text as it was typed; blank where nothing is known any more
     */
    record Said(EventEntity event, EntryEntity entry, String text) {}

    /** @throws IllegalArgumentException when one is no result; nothing is kept then */
    public void say(Person who, ContestEntity contest, List<Said> said) {
        Map<List<Long>, String> before = results.of(contest.clubId(), contest.id()).stream()
                .collect(
                        Collectors.toMap(result -> List.of(result.eventId(), result.entryId()), ResultEntity::written));
        for (Said one : said) {
            ledger.write(
                    who,
                    one.entry().lifterId(),
                    contest.name() + ", " + one.entry().name() + ", "
                            + one.event().name(),
                    "result",
                    before.getOrDefault(List.of(one.event().id(), one.entry().id()), ""),
                    one.text());
            if (one.text().isBlank()) {
                results.remove(contest.clubId(), one.event().id(), one.entry().id());
            } else {
                results.set(
                        contest.clubId(),
                        one.event().id(),
                        one.entry().id(),
                        EventResult.parse(one.text(), one.event().measure()).written(),
                        clock.instant(),
                        who.personName());
            }
        }
    }
}
