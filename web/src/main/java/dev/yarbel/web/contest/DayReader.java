package dev.yarbel.web.contest;

import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Reads all that a page of the day is made of. */
@Component
class DayReader {

    private final Contests contests;
    private final Taps taps;
    private final Roster roster;

    DayReader(Contests contests, Taps taps, Roster roster) {
        this.contests = contests;
        this.taps = taps;
        this.roster = roster;
    }

    /** A contest as a coach sees it. */
    DayView.Made of(Person coach, ContestEntity contest) {
        return new DayView.Made(
                contest,
                contests.entries(contest),
                taps.of(contest),
                roster.lifters(coach).stream().map(LifterCard::id).collect(Collectors.toSet()));
    }
}
