package dev.yarbel.web.roster;

import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.kept.LifterParts;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.Person;
import java.time.Clock;
import java.time.LocalDate;
import java.time.Period;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionOperations;

/**
 * Lifters who have everything of theirs deleted: after a pause in which they may think better of it, and their coach sees it. What
 * stays is their name and what they did in the club's contests, since the places of others hang on it.
 */
@Service
public class Leaving {

    /** Between asking and deleting. */
    public static final Period PAUSE = Period.ofDays(14);

    private static final Logger LOG = LoggerFactory.getLogger(Leaving.class);

    private final LifterRepository lifters;
    private final List<LifterParts> rooms;
    private final Accounts accounts;
    private final ChangeLog changes;
    private final TransactionOperations transactions;
    private final JdbcTemplate jdbc;
    private final Clock clock;

    Leaving(
            LifterRepository lifters,
            List<LifterParts> rooms,
            Accounts accounts,
            ChangeLog changes,
            TransactionOperations transactions,
            JdbcTemplate jdbc,
            Clock clock) {
        this.lifters = lifters;
        this.rooms = rooms;
        this.accounts = accounts;
        this.changes = changes;
        this.transactions = transactions;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Sets the day on which everything of a lifter's is deleted; one who asked before keeps theirs. */
    public void ask(Person person, LifterCard card) {
        transactions.executeWithoutResult(status -> {
            Lifter lifter = lifters.findByClubIdAndId(card.clubId(), card.id()).orElseThrow();
            if (lifter.leavesOn().isEmpty()) {
                LocalDate day =
                        LocalDate.ofInstant(clock.instant(), person.zone()).plus(PAUSE);
                lifter.leavesOn(Optional.of(day));
                write(person, card, "leaves", day.toString());
            }
        });
    }

    /** Nothing is deleted. */
    public void takeBack(Person person, LifterCard card) {
        transactions.executeWithoutResult(status -> {
            Lifter lifter = lifters.findByClubIdAndId(card.clubId(), card.id()).orElseThrow();
            if (lifter.leavesOn().isPresent()) {
                lifter.leavesOn(Optional.empty());
                write(person, card, "stays", card.name());
            }
        });
    }

    private void write(Person person, LifterCard card, String what, String after) {
        changes.write(person, Optional.of(card.id()), ChangeKind.ROSTER, List.of(what), Optional.empty(), "", after);
    }

    private record Due(long clubId, long lifterId) {}

    /** Deletes whoever's day has come, by the clock of their club; one that fails keeps no other waiting, and is tried again. */
    @Scheduled(initialDelay = 1, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
    void eraseDue() {
        List<Due> due = jdbc.query(
                """
                select l.club_id, l.id from lifter l join club c on c.id = l.club_id
                where l.leaves_on <= (cast(? as timestamptz) at time zone c.zone)::date""",
                (row, number) -> new Due(row.getLong(1), row.getLong(2)),
                clock.instant().toString());
        for (Due one : due) {
            try {
                transactions.executeWithoutResult(status -> erase(one));
                LOG.info("Everything of a lifter who asked for it was deleted.");
            } catch (RuntimeException fault) {
                LOG.error("A lifter who asked for it could not be deleted; it is tried again.", fault);
            }
        }
    }

    private void erase(Due one) {
        List<Long> still = jdbc.queryForList(
                "select id from lifter where club_id = ? and id = ? and leaves_on is not null for update skip locked",
                Long.class,
                one.clubId(),
                one.lifterId());
        if (still.isEmpty()) {
            return;
        }
        jdbc.execute("set constraints all deferred");
        for (LifterParts room : rooms) {
            for (String statement : room.erase()) {
                jdbc.update(statement, one.clubId(), new Long[] {one.lifterId()});
            }
        }
        accounts.erase(one.clubId(), one.lifterId());
        jdbc.update("delete from lifter where club_id = ? and id = ?", one.clubId(), one.lifterId());
    }
}
