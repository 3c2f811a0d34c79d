package dev.yarbel.web.weekly;

import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.calls.ToldCalls;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lifters' weeks, and what coaches wrote about them. */
@Service
@Transactional
class Weeks {

    private final Blocks blocks;
    private final Roster roster;
    private final ToldCalls calls;
    private final KeptWeekRepository kept;
    private final Clock clock;

    Weeks(Blocks blocks, Roster roster, ToldCalls calls, KeptWeekRepository kept, Clock clock) {
        this.blocks = blocks;
        this.roster = roster;
        this.calls = calls;
        this.kept = kept;
        this.clock = clock;
    }

    /** A week as it was. */
    @Transactional(readOnly = true)
    public WeekView week(LifterBlock plan, LocalDate monday, ZoneId zone) {
        return WeekView.of(plan, monday, calls.between(plan.lifter(), monday, monday.plusDays(6), zone));
    }

    @Transactional(readOnly = true)
    public LifterBlock plan(LifterCard lifter, ZoneId zone) {
        return blocks.currentOrNone(lifter, zone);
    }

    /** What was written about a week; empty where nobody did. */
    @Transactional(readOnly = true)
    public Optional<KeptWeek.Written> written(LifterCard lifter, LocalDate monday) {
        return kept.find(lifter.clubId(), lifter.id(), monday).map(KeptWeek::written);
    }

    /**
     * Keeps what a coach wrote about a week.
     *
     * @param edition the one they had before them; 0 where nothing was written
     * @throws UnreadableException when somebody else wrote something meanwhile
     */
    public void write(Person coach, LifterCard lifter, LocalDate monday, int edition, String words) {
        kept.begin(lifter.clubId(), lifter.id(), monday, clock.instant());
        KeptWeek row = kept.lock(lifter.clubId(), lifter.id(), monday);
        if (row.edition() != edition && !row.words().equals(words)) {
            throw new UnreadableException("week.error.meanwhile", row.keptByName()).in("words");
        }
        if (!row.words().equals(words)) {
            row.write(words, clock.instant(), coach.personName());
            roster.wrote(lifter, monday);
        }
    }
}
