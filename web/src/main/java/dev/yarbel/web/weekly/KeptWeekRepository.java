package dev.yarbel.web.weekly;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface KeptWeekRepository extends Repository<KeptWeek, Long> {

    @Query("""
            select w from KeptWeek w
            where w.clubId = :clubId and w.lifterId = :lifterId and w.monday = :monday and w.edition > 0""")
    Optional<KeptWeek> find(long clubId, long lifterId, LocalDate monday);

    /** Makes room for what is to be written about a week, once. */
    @Modifying
    @NativeQuery("""
            insert into kept_week (club_id, lifter_id, monday, words, kept_at, kept_by_name, edition)
            values (:clubId, :lifterId, :monday, '', :now, '', 0) on conflict do nothing""")
    int begin(long clubId, long lifterId, LocalDate monday, Instant now);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select w from KeptWeek w where w.clubId = :clubId and w.lifterId = :lifterId and w.monday = :monday")
    KeptWeek lock(long clubId, long lifterId, LocalDate monday);
}
