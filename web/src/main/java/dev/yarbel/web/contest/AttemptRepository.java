package dev.yarbel.web.contest;

import dev.yarbel.core.lift.Lift;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface AttemptRepository extends Repository<AttemptEntity, Long> {

    @Query("""
            select a from AttemptEntity a join EntryEntity e on e.id = a.entryId and e.clubId = a.clubId
            where a.clubId = :clubId and e.contestId = :contestId and e.removedAt is null
            order by a.entryId, a.number""")
    List<AttemptEntity> of(long clubId, long contestId);

    @Query("""
            select a from AttemptEntity a where a.clubId = :clubId and a.entryId = :entryId and a.lift = :lift
            order by a.number""")
    List<AttemptEntity> at(long clubId, long entryId, Lift lift);

    /** Names a load; one that was named before is changed, as long as it was not lifted, and was not named later. */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("""
            insert into contest_attempt (club_id, entry_id, lift, number, load, said_at, said_by)
            values (:clubId, :entryId, :lift, :number, :load, :at, :by)
            on conflict (entry_id, lift, number) do update
            set changes = contest_attempt.changes + 1, load = excluded.load, said_at = excluded.said_at, said_by = excluded.said_by
            where contest_attempt.outcome is null and contest_attempt.load <> excluded.load
            and contest_attempt.said_at <= excluded.said_at""")
    int name(long clubId, long entryId, String lift, int number, BigDecimal load, Instant at, String by);

    /** Says what became of an attempt, or that it is still to be lifted. */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("""
            insert into contest_attempt (club_id, entry_id, lift, number, load, outcome, said_at, said_by, other_outcome, other_by)
            values (:clubId, :entryId, :lift, :number, :load, cast(:outcome as text), :at, :by, cast(:otherOutcome as text), cast(:otherBy as text))
            on conflict (entry_id, lift, number) do update
            set load = excluded.load, outcome = excluded.outcome, said_at = excluded.said_at, said_by = excluded.said_by,
            other_outcome = excluded.other_outcome, other_by = excluded.other_by, why = null, lights = null""")
    int say(
            long clubId,
            long entryId,
            String lift,
            int number,
            BigDecimal load,
            String outcome,
            Instant at,
            String by,
            String otherOutcome,
            String otherBy);

    /** Says more of what became of an attempt. */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("""
            update contest_attempt set why = cast(:why as text), lights = cast(:lights as int)
            where club_id = :clubId and entry_id = :entryId and lift = :lift and number = :number and outcome is not null""")
    int tell(long clubId, long entryId, String lift, int number, String why, Integer lights);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("""
            delete from AttemptEntity a where a.clubId = :clubId and a.entryId = :entryId and a.lift = :lift
            and a.number > :number and a.outcome is null""")
    int forgetNamed(long clubId, long entryId, Lift lift, int number);
}
