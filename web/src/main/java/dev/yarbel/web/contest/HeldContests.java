package dev.yarbel.web.contest;

import dev.yarbel.core.contest.AnnouncedEvent;
import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.Outcome;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Contests as rooms after this one make them, by their numbers. */
@Service
@Transactional
public class HeldContests {

    private static final int PACE = 60;

    private final Contests contests;
    private final Taps taps;
    private final Flights flights;
    private final Events events;

    HeldContests(Contests contests, Taps taps, Flights flights, Events events) {
        this.contests = contests;
        this.taps = taps;
        this.flights = flights;
        this.events = events;
    }

    /**
     * A contest with weigh-in and beginning.
     *
     * @param on empty while nobody knows when it will be
     * @param rules the key of a rule set
     * @return its number
     */
    public long hold(Person coach, String name, String place, Optional<LocalDate> on, String rules) {
        return contests.add(
                coach,
                new ContestEntity.Set(
                        name,
                        Optional.of(place),
                        on,
                        Optional.empty(),
                        Optional.of(LocalTime.of(8, 0)),
                        Optional.of(LocalTime.of(10, 0)),
                        ContestRules.named(rules),
                        false,
                        Optional.empty(),
                        List.of()));
    }

    /** A contest gets another day, or none for now. */
    public void move(Person coach, long contest, Optional<LocalDate> on) {
        contests.change(coach, contest, contests.contest(coach, contest).set().on(on));
    }

    /**
     * Enters a lifter of the coach's.
     *
     * @param asked the total to be reached; empty where none is asked for
     * @return the entry's number
     */
    public long enter(Person coach, long contest, LifterCard lifter, int lot, Way way, Optional<Mass> asked) {
        ContestEntity held = contests.contest(coach, contest);
        long entry = contests.enter(coach, held, lifter);
        contests.change(
                coach,
                held,
                entry,
                new EntryEntity.Set(
                        lifter.sex(),
                        lifter.bodyMass(),
                        Optional.of(lot),
                        1,
                        way,
                        asked,
                        Optional.empty(),
                        Optional.empty(),
                        Priority.PEAKED_FOR));
        return entry;
    }

    /** Says up to what they mean to weigh. */
    public void mean(Person coach, long contest, long entry, Mass limit) {
        ContestEntity held = contests.contest(coach, contest);
        contests.change(
                coach, held, entry, contests.entry(coach, held, entry).set().of(limit));
    }

    /**
     * Enters somebody who is not of the club.
     *
     * @param expected the total that is expected of them; empty where nobody knows
     */
    public long enterGuest(
            Person coach, long contest, String name, Sex sex, Mass body, int lot, Optional<Mass> expected) {
        return contests.enterGuest(
                coach,
                contests.contest(coach, contest),
                name,
                new EntryEntity.Set(
                        Optional.of(sex),
                        Optional.of(body),
                        Optional.of(lot),
                        1,
                        Way.SHARES,
                        Optional.empty(),
                        expected,
                        Optional.empty(),
                        Priority.PEAKED_FOR));
    }

    /** Says when the first flight of a lift begins, with a minute an attempt. */
    public void flight(Person coach, long contest, Lift lift, Instant startsAt, int bars) {
        flights.set(contests.contest(coach, contest), lift, 1, startsAt, bars, PACE);
    }

    /**
     * Announces an event that is trained as a lift.
     *
     * @param begins when the first one goes
     * @param minutes one takes
     * @return its number
     */
    public long event(
            Person coach,
            long contest,
            String name,
            Lift lift,
            AnnouncedEvent as,
            Optional<LocalTime> begins,
            Optional<Integer> minutes) {
        return events.add(
                coach,
                contests.contest(coach, contest),
                new EventEntity.Set(name, Optional.of(lift), as, begins, minutes));
    }

    /** Says what somebody did in an event, or is expected to, as it is written. */
    public void result(Person coach, long contest, long entry, long event, String written) {
        ContestEntity held = contests.contest(coach, contest);
        EntryEntity of = contests.entry(coach, held, entry);
        EventEntity in = events.of(held).stream()
                .filter(one -> one.id() == event)
                .findFirst()
                .orElseThrow();
        events.say(coach, held, List.of(new Events.Said(in, of, written)));
    }

    /** Names an attempt, and says what became of it; empty where it is still to be lifted. */
    public void attempt(
            Person coach, long contest, long entry, Lift lift, int number, Mass load, Optional<Outcome> outcome) {
        ContestEntity held = contests.contest(coach, contest);
        Taps.Which which = new Taps.Which(entry, lift, number, Optional.empty());
        taps.name(coach, held, which, load, false);
        outcome.ifPresent(became -> taps.say(coach, held, which, became, Optional.empty()));
    }
}
