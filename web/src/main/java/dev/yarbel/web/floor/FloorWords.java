package dev.yarbel.web.floor;

import dev.yarbel.web.page.FloorNotifier;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What lifter and coach say to one another while the lifter lifts; a day later it is over. */
@Service
class FloorWords {

    /** Longer words belong into a note. */
    static final int LONGEST = 200;

    private static final int MOST = 6;

    private final JdbcClient jdbc;
    private final Roster roster;
    private final FloorNotifier moved;
    private final Clock clock;

    FloorWords(JdbcClient jdbc, Roster roster, FloorNotifier moved, Clock clock) {
        this.jdbc = jdbc;
        this.roster = roster;
        this.moved = moved;
        this.clock = clock;
    }

    /** Words as they were said. */
    record Said(String by, boolean coach, String words, Instant at) {}

    /** Keeps what a person says; the same words sent twice are kept once. */
    @Transactional
    public void say(Person person, LifterCard lifter, UUID token, String words) {
        int said = jdbc.sql("""
                        insert into floor_word (club_id, lifter_id, account_id, person_name, by_coach, words, said_at, token)
                        values (:club, :lifter, :account, :name, :coach, :words, :at, :token) on conflict do nothing""")
                .param("club", lifter.clubId())
                .param("lifter", lifter.id())
                .param("account", person.accountId())
                .param("name", person.personName())
                .param("coach", person.isCoach())
                .param("words", words)
                .param("at", clock.instant().atOffset(ZoneOffset.UTC))
                .param("token", token)
                .update();
        if (said > 0) {
            roster.spoke(lifter, clock.instant(), !person.isCoach());
            moved.tell(lifter.clubId(), lifter.id());
        }
    }

    /** The last words between a lifter and their coaches, oldest first. */
    @Transactional(readOnly = true)
    public List<Said> lately(LifterCard lifter) {
        if (!lifter.spokeSince(clock.instant().minus(Roster.WORDS_LAST))) {
            return List.of();
        }
        return jdbc.sql("""
                        select * from (
                          select person_name, by_coach, words, said_at, id from floor_word
                          where club_id = :club and lifter_id = :lifter and said_at > :since
                          order by said_at desc, id desc limit :most) as latest
                        order by said_at, id""")
                .param("club", lifter.clubId())
                .param("lifter", lifter.id())
                .param("since", since())
                .param("most", MOST)
                .query((row, number) -> new Said(
                        row.getString("person_name"),
                        row.getBoolean("by_coach"),
                        row.getString("words"),
                        row.getTimestamp("said_at").toInstant()))
                .list();
    }

    /** Whether a lifter waits for an answer. */
    boolean isAsking(LifterCard lifter) {
        return lifter.asksSince(clock.instant().minus(Roster.WORDS_LAST));
    }

    private Object since() {
        return clock.instant().minus(Roster.WORDS_LAST).atOffset(ZoneOffset.UTC);
    }
}
