package dev.yarbel.web.calls;

import dev.yarbel.core.lift.Lift;
import jakarta.persistence.LockModeType;
import java.math.BigDecimal;
import java.time.Instant;
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
            order by s.answeredAt desc, s.id desc""")
    List<Slip> findAnswered(long clubId, Collection<Long> lifterIds, Limit most);

    boolean existsByClubIdAndLifterIdAndLiftAndStatus(long clubId, long lifterId, Lift lift, Slip.Status status);

    Optional<Slip> findByClubIdAndId(long clubId, long id);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from Slip s where s.clubId = :clubId and s.id = :id")
    Optional<Slip> lock(long clubId, long id);

    /** Opens a slip unless this session gave one already or the lift has one open. */
    @Modifying
    @NativeQuery("""
            insert into slip (club_id, lifter_id, lift, session_id, status, opened_at, rule, raises, size)
            values (:clubId, :lifterId, :lift, :sessionId, 'OPEN', :now, :rule, :raises, :size)
            on conflict do nothing""")
    int open(
            long clubId,
            long lifterId,
            String lift,
            long sessionId,
            Instant now,
            String rule,
            boolean raises,
            BigDecimal size);
}
