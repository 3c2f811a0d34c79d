package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.Aftermath;
import dev.yarbel.core.adjust.CallRule;
import dev.yarbel.core.adjust.Calls;
import dev.yarbel.core.adjust.Direction;
import dev.yarbel.core.adjust.SeenSession;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.web.account.Clubs;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Looks at answered slips again once their four weeks are over, once each; those that call nobody and mere questions are not judged. */
@Component
class JudgedLater {

    private static final Logger LOG = LoggerFactory.getLogger(JudgedLater.class);

    /** Those that call somebody to decide; what follows a contest's new day says nothing of the answer. */
    private static final List<String> JUDGED = Calls.RULES.stream()
            .filter(rule -> !rule.isQuiet() && rule.scope() != CallRule.Scope.CONTEST)
            .map(CallRule::key)
            .toList();

    private static final Set<String> RESTS = Set.of("swap-lift", "deload-week", "return-ladder");

    private final JdbcClient jdbc;
    private final JudgedCallRepository judged;
    private final Roster roster;
    private final Blocks blocks;
    private final Clubs clubs;
    private final Clock clock;
    private final TransactionTemplate transaction;

    JudgedLater(
            JdbcClient jdbc,
            JudgedCallRepository judged,
            Roster roster,
            Blocks blocks,
            Clubs clubs,
            Clock clock,
            TransactionTemplate transaction) {
        this.jdbc = jdbc;
        this.judged = judged;
        this.roster = roster;
        this.blocks = blocks;
        this.clubs = clubs;
        this.clock = clock;
        this.transaction = transaction;
    }

    /** Whose answers are looked at together. */
    private record Whose(long club, long lifter) {}

    @Scheduled(initialDelay = 0, fixedDelay = 1, timeUnit = TimeUnit.HOURS)
    void lookAgain() {
        // a day more, since the four weeks end with the lifter's day
        Instant before = clock.instant().minus(Duration.ofDays(Aftermath.DAYS + 1L));
        jdbc.sql("""
                        select distinct club_id, lifter_id from slip
                        where status in ('TAKEN', 'CHANGED', 'BY_ITSELF', 'LEFT') and answered_at < :before
                          and rule in (:rules) and proposes <> 'ask-lifter'
                          and not exists (select 1 from judged_call where judged_call.slip_id = slip.id)""")
                .param("before", Timestamp.from(before))
                .param("rules", JUDGED)
                .query((row, at) -> new Whose(row.getLong("club_id"), row.getLong("lifter_id")))
                .list()
                .forEach(whose -> lookAgain(whose, before));
    }

    /** What fails for one lifter keeps no other waiting. */
    private void lookAgain(Whose whose, Instant before) {
        try {
            transaction.executeWithoutResult(status -> judge(whose, before));
        } catch (RuntimeException failed) {
            LOG.warn("answers about lifter {} are not judged yet", whose.lifter(), failed);
        }
    }

    private void judge(Whose whose, Instant before) {
        LifterCard lifter = roster.lifterOfClub(whose.club(), whose.lifter());
        ZoneId zone = clubs.zone(whose.club());
        LifterBlock plan = blocks.currentOrNone(lifter, zone);
        List<SeenSession> log = plan.standing().finished();
        for (Slip slip : judged.toJudge(whose.club(), whose.lifter(), before, JUDGED)) {
            Aftermath followed = Aftermath.of(
                    slip.lift(),
                    LocalDate.ofInstant(slip.answeredAt(), zone),
                    log,
                    plan.resolver()::numbers,
                    plan.standing().of(slip.lift()).flatMap(LiftRecord::estimate));
            judged.save(new JudgedCall(whose.club(), slip.id(), clock.instant(), direction(slip), followed));
        }
    }

    /** Which way an answer went; one with a figure of the coach's own is taken to go where the proposal went. */
    private static Direction direction(Slip slip) {
        return Direction.of(
                slip.status() == Slip.Status.LEFT,
                slip.raises(),
                RESTS.contains(slip.proposes()),
                slip.size().isGreaterThan(Percent.ZERO));
    }
}
