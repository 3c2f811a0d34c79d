package dev.yarbel.web.contest;

import java.time.Instant;
import java.util.List;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ResultRepository extends Repository<ResultEntity, Long> {

    @Query("""
            select r from ResultEntity r join EventEntity e on e.id = r.eventId and e.clubId = r.clubId
            where r.clubId = :clubId and e.contestId = :contestId and e.removedAt is null""")
    List<ResultEntity> of(long clubId, long contestId);

    /** Sets one, whoever sets it at the same moment. */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("""
            insert into contest_result (club_id, event_id, entry_id, written, said_at, said_by)
            values (:clubId, :eventId, :entryId, :written, :at, :by)
            on conflict (event_id, entry_id) do update
            set written = excluded.written, said_at = excluded.said_at, said_by = excluded.said_by""")
    int set(long clubId, long eventId, long entryId, String written, Instant at, String by);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("delete from ResultEntity r where r.clubId = :clubId and r.eventId = :eventId and r.entryId = :entryId")
    int remove(long clubId, long eventId, long entryId);
}
