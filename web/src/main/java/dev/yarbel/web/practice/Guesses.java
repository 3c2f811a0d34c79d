package dev.yarbel.web.practice;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.practice.PracticeScore;
import dev.yarbel.web.roster.LifterCard;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What lifters guessed. It is kept for their score alone. */
@Component
class Guesses {

    private static final int WANTED = 2 * PracticeScore.LATEST;

    private final JdbcClient jdbc;
    private final Clock clock;

    Guesses(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * A guess that was kept.
     *
     * @param drawn the number of the set
     */
    record Kept(Lift lift, long drawn, int said, int was) {}

    /** The latest of a lifter, oldest first; as many as a score looks at. */
    @Transactional(readOnly = true)
    List<Kept> latest(LifterCard lifter) {
        List<Kept> newestFirst = jdbc.sql(
                        "select lift, drawn, said, was from practice_guess where club_id = ? and lifter_id = ?"
                                + " order by id desc limit " + WANTED)
                .param(lifter.clubId())
                .param(lifter.id())
                .query((row, at) -> new Kept(
                        new Lift(row.getString("lift")), row.getLong("drawn"), row.getInt("said"), row.getInt("was")))
                .list();
        Collections.reverse(newestFirst);
        return newestFirst;
    }

    /** Keeps a guess; a second one of the same set is none. */
    @Transactional
    void add(LifterCard lifter, Kept guess) {
        jdbc.sql("insert into practice_guess (club_id, lifter_id, lift, drawn, said, was, guessed_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?) on conflict do nothing")
                .params(
                        lifter.clubId(),
                        lifter.id(),
                        guess.lift().key(),
                        guess.drawn(),
                        guess.said(),
                        guess.was(),
                        Timestamp.from(clock.instant()))
                .update();
    }

    static Optional<PracticeScore> score(List<Kept> guesses) {
        return PracticeScore.of(guesses.stream()
                .map(guess -> new PracticeScore.Guess(guess.said(), guess.was()))
                .toList());
    }
}
