package dev.yarbel.web.calls;

import dev.yarbel.core.lift.Lift;
import jakarta.persistence.LockModeType;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface SlipRepository extends Repository<Slip, Long> {

    @Query("""
            select s from Slip s where s.clubId = :clubId and s.lifterId in :lifterIds and s.status = 'OPEN'
            order by s.openedAt, s.id""")
    List<Slip> findOpen(long clubId, Collection<Long> lifterIds);

    @Query("""
            select s from Slip s where s.clubId = :clubId and s.lifterId in :lifterIds and s.answeredAt is not null
            and s.status <> 'OVERTAKEN'
            order by s.answeredAt desc, s.id desc""")
    List<Slip> findAnswered(long clubId, Collection<Long> lifterIds, Limit most);

    boolean existsByClubIdAndLifterIdAndLiftAndStatus(long clubId, long lifterId, Lift lift, Slip.Status status);

    Optional<Slip> findByClubIdAndId(long clubId, long id);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from Slip s where s.clubId = :clubId and s.id = :id")
    Optional<Slip> lock(long clubId, long id);

    /**
     * What a lifter's calls were answered with since a moment, newest first: those that were left and those that were taken or changed.
     */
    @Query("""
            select s from Slip s where s.clubId = :clubId and s.lifterId = :lifterId and s.answeredAt >= :since
            and s.status in ('TAKEN', 'BY_ITSELF', 'CHANGED', 'LEFT') order by s.answeredAt desc, s.id desc""")
    List<Slip> findAnsweredSince(long clubId, long lifterId, Instant since);

    /** What was found in a lifter's sessions of some days, or answered in a time, and stands. */
    @NativeQuery("""
            select slip.* from slip left join training_session session on session.club_id = slip.club_id and session.id = slip.session_id
            where slip.club_id = :clubId and slip.lifter_id = :lifterId
              and (session.held_on between :first and :last or slip.answered_at >= :from and slip.answered_at < :to)
              and slip.status not in ('OVERTAKEN', 'TAKEN_BACK') order by slip.opened_at, slip.id""")
    List<Slip> findBetween(long clubId, long lifterId, LocalDate first, LocalDate last, Instant from, Instant to);

    /**
     * Overtakes a lift's open slip of the same session or an older one, where its rule is one of these and not this one of
     * the same session.
     */
    @Modifying
    @NativeQuery("""
            update slip set status = 'OVERTAKEN', answered_at = :now
            from training_session older, training_session newer
            where slip.club_id = :clubId and slip.lifter_id = :lifterId and slip.lift = :lift and slip.status = 'OPEN'
              and slip.rule in (:rules) and (slip.session_id <> :sessionId or slip.rule <> :rule)
              and older.club_id = slip.club_id and older.id = slip.session_id
              and newer.club_id = slip.club_id and newer.id = :sessionId
              and (older.held_on, older.id) <= (newer.held_on, newer.id)""")
    int overtake(
            long clubId,
            long lifterId,
            String lift,
            long sessionId,
            Instant now,
            String rule,
            Collection<String> rules);

    @Query("""
            select s from Slip s
            where s.clubId = :clubId and s.sessionId = :sessionId and s.lift = :lift and s.rule = :rule and s.status = 'OPEN'""")
    Optional<Slip> findOpenOf(long clubId, long sessionId, Lift lift, String rule);

    /** Overtakes a lifter's open slips about their contests. */
    @Modifying
    @NativeQuery("""
            update slip set status = 'OVERTAKEN', answered_at = :now
            where club_id = :clubId and lifter_id = :lifterId and contest_id is not null and status = 'OPEN'""")
    int overtakeContests(long clubId, long lifterId, Instant now);

    @Query("""
            select s from Slip s
            where s.clubId = :clubId and s.lifterId = :lifterId and s.contestId = :contestId and s.status = 'OPEN'""")
    Optional<Slip> findOpenOfContest(long clubId, long lifterId, long contestId);

    /** Opens a slip about a contest, unless one of the lifter's is open. */
    @Modifying
    @NativeQuery("""
            insert into slip
              (club_id, lifter_id, lift, contest_id, contest_was, status, opened_at, rule, proposes, raises, size)
            values (:clubId, :lifterId, :lift, :contestId, cast(:was as date), 'OPEN', :now, :rule, :proposes, false, 0)
            on conflict do nothing""")
    int openOfContest(
            long clubId,
            long lifterId,
            String lift,
            long contestId,
            LocalDate was,
            Instant now,
            String rule,
            String proposes);

    /** Opens a slip unless this session gave one by this rule already or the lift has one open. */
    @Modifying
    @NativeQuery("""
            insert into slip
              (club_id, lifter_id, lift, session_id, status, opened_at, rule, proposes, raises, size)
            values (:clubId, :lifterId, :lift, :sessionId, 'OPEN', :now, :rule, :proposes, :raises, :size)
            on conflict do nothing""")
    int open(
            long clubId,
            long lifterId,
            String lift,
            long sessionId,
            Instant now,
            String rule,
            String proposes,
            boolean raises,
            BigDecimal size);
}
