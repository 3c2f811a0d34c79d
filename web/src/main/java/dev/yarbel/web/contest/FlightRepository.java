package dev.yarbel.web.contest;

import java.time.Instant;
import java.util.List;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface FlightRepository extends Repository<FlightEntity, Long> {

    @Query("""
            select f from FlightEntity f where f.clubId = :clubId and f.contestId = :contestId
            order by f.lift, f.flight""")
    List<FlightEntity> of(long clubId, long contestId);

    /** Sets one, whoever sets it at the same moment. */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("""
            insert into contest_flight (club_id, contest_id, lift, flight, starts_at, bars, pace)
            values (:clubId, :contestId, :lift, :flight, :startsAt, :bars, :pace)
            on conflict (contest_id, lift, flight) do update
            set starts_at = excluded.starts_at, bars = excluded.bars, pace = excluded.pace""")
    int set(long clubId, long contestId, String lift, int flight, Instant startsAt, int bars, int pace);
}
