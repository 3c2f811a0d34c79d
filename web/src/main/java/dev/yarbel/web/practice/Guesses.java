package dev.yarbel.web.practice;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.practice.PracticeScore;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.web.floor.SetGuessed;
import dev.yarbel.web.roster.LifterCard;
import java.math.BigDecimal;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.context.event.EventListener;
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

    /** What was guessed at. */
    enum Kind {
        DRAWN,
        /** A set of their own, before they lifted it: held against what they rated it afterwards. */
        LIFTED
    }

    /**
     * A guess that was kept.
     *
     * @param number of the set
     * @param said half repetitions left
     * @param was half repetitions left
     */
    record Kept(Kind kind, Lift lift, long number, int said, int was) {

        public String saidReps() {
            return reps(said);
        }

        public String wasReps() {
            return reps(was);
        }

        /** By how many repetitions more was said than was; below nothing for fewer. */
        public BigDecimal more() {
            return BigDecimal.valueOf(said - was).divide(BigDecimal.valueOf(2));
        }

        private static String reps(int halves) {
            return BigDecimal.valueOf(halves).divide(BigDecimal.valueOf(2)).toPlainString();
        }
    }

    /** The latest of a lifter, oldest first; of each kind as many as a score looks at. */
    @Transactional(readOnly = true)
    List<Kept> latest(LifterCard lifter) {
        return jdbc.sql("""
                        select kind, lift, number, said, was from (
                          select g.*, row_number() over (partition by kind order by id desc) as place
                          from practice_guess g where club_id = ? and lifter_id = ?) latest
                        where place <= ? order by id""")
                .params(lifter.clubId(), lifter.id(), WANTED)
                .query((row, at) -> new Kept(
                        Kind.valueOf(row.getString("kind")),
                        new Lift(row.getString("lift")),
                        row.getLong("number"),
                        row.getInt("said"),
                        row.getInt("was")))
                .list();
    }

    /** Keeps a guess; a second one of the same set is none. */
    @Transactional
    void add(long clubId, long lifterId, Kept guess) {
        jdbc.sql("insert into practice_guess (club_id, lifter_id, kind, lift, number, said, was, guessed_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?) on conflict do nothing")
                .params(
                        clubId,
                        lifterId,
                        guess.kind().name(),
                        guess.lift().key(),
                        guess.number(),
                        guess.said(),
                        guess.was(),
                        Timestamp.from(clock.instant()))
                .update();
    }

    /** What was guessed before a set, held against how it was rated; nothing where it was not rated. */
    @EventListener
    void on(SetGuessed guessed) {
        LiftedSet set = guessed.set();
        Optional<Integer> left =
                set.effort().isMissed() ? Optional.of(0) : set.rating().map(Rpe::halvesLeft);
        left.ifPresent(was -> add(
                guessed.clubId(),
                guessed.lifterId(),
                new Kept(Kind.LIFTED, set.lift(), guessed.token().getMostSignificantBits(), 2 * guessed.left(), was)));
    }

    static Optional<PracticeScore> score(List<Kept> guesses) {
        return PracticeScore.of(guesses.stream()
                .map(guess -> new PracticeScore.Guess(guess.said(), guess.was()))
                .toList());
    }
}
