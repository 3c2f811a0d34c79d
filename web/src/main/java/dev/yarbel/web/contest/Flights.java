package dev.yarbel.web.contest;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.page.Person;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps when flights begin and what there is to warm up on. Whoever belongs to the club may set it: a crew is one. */
@Service
@Transactional
class Flights {

    private final FlightRepository flights;
    private final EntryRepository entries;
    private final Contests contests;

    Flights(FlightRepository flights, EntryRepository entries, Contests contests) {
        this.flights = flights;
        this.entries = entries;
        this.contests = contests;
    }

    @Transactional(readOnly = true)
    public List<FlightEntity> of(ContestEntity contest) {
        return flights.of(contest.clubId(), contest.id());
    }

    /** @param pace seconds an attempt takes */
    public void set(ContestEntity contest, Lift lift, int flight, Instant startsAt, int bars, int pace) {
        flights.set(contest.clubId(), contest.id(), lift.key(), flight, startsAt, bars, pace);
    }

    /** Sets the attempts before a lifter's first one; empty where they are counted from who is entered. */
    public void before(Person coach, ContestEntity contest, long entry, Optional<Integer> before) {
        EntryEntity of = contests.entry(coach, contest, entry);
        of.attemptsBefore(before.orElse(null));
        entries.save(of);
    }
}
