package dev.yarbel.web.book;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface TrainingSessionRepository extends Repository<TrainingSession, Long> {

    Optional<TrainingSession> findByClubIdAndLifterIdAndPlanDayAndPlanWeek(
            long clubId, long lifterId, long planDay, int planWeek);

    Optional<TrainingSession> findByClubIdAndLifterIdAndId(long clubId, long lifterId, long id);

    @Query("select distinct s.lifterId from TrainingSession s where s.clubId = :clubId and s.startedAt >= :since")
    List<Long> begunSince(long clubId, Instant since);

    /** Finished sessions that something was asked for and that nobody has judged, by their numbers. */
    @Query("""
            select s from TrainingSession s
            where s.clubId = :clubId and s.id > :after and s.judgement is null and s.finishedAt is not null
              and s.planned <> '' order by s.id""")
    List<TrainingSession> findUnjudged(long clubId, long after, Limit limit);

    /** Begins a session unless it has begun, whoever comes first. */
    @Modifying
    @NativeQuery("""
            insert into training_session (club_id, lifter_id, held_on, plan_day, plan_week, started_at, planned)
            values (:clubId, :lifterId, :heldOn, :planDay, :planWeek, :now, :planned)
            on conflict (lifter_id, plan_day, plan_week) do nothing""")
    int begin(long clubId, long lifterId, LocalDate heldOn, long planDay, int planWeek, Instant now, String planned);

    /** Begins a session that nobody planned, unless one of that day is open, whoever comes first. */
    @Modifying
    @NativeQuery("""
            insert into training_session (club_id, lifter_id, held_on, started_at)
            values (:clubId, :lifterId, :heldOn, :now)
            on conflict do nothing""")
    int beginUnplanned(long clubId, long lifterId, LocalDate heldOn, Instant now);

    /** The open session of a day that nobody planned, held until the end of the transaction. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("""
            select s from TrainingSession s
            where s.clubId = :clubId and s.lifterId = :lifterId and s.heldOn = :heldOn and s.planDay is null
              and s.finishedAt is null""")
    Optional<TrainingSession> lockUnplanned(long clubId, long lifterId, LocalDate heldOn);

    /** A session that nobody planned, held until the end of the transaction. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("""
            select s from TrainingSession s
            where s.clubId = :clubId and s.lifterId = :lifterId and s.id = :id and s.planDay is null""")
    Optional<TrainingSession> lockUnplanned(long clubId, long lifterId, long id);

    /** One of any kind, held until the end of the transaction. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from TrainingSession s where s.clubId = :clubId and s.lifterId = :lifterId and s.id = :id")
    Optional<TrainingSession> lock(long clubId, long lifterId, long id);

    /** A session, held until the end of the transaction, so that its sets are logged one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("""
            select s from TrainingSession s
            where s.clubId = :clubId and s.lifterId = :lifterId and s.planDay = :planDay and s.planWeek = :planWeek""")
    Optional<TrainingSession> lockDay(long clubId, long lifterId, long planDay, int planWeek);
}
