package dev.yarbel.web.contest;

import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface EntryRepository extends Repository<EntryEntity, Long> {

    @Query("""
            select e from EntryEntity e where e.clubId = :clubId and e.contestId = :contestId and e.removedAt is null
            order by e.flight, e.lot nulls last, e.id""")
    List<EntryEntity> of(long clubId, long contestId);

    Optional<EntryEntity> findByClubIdAndContestIdAndId(long clubId, long contestId, long id);

    @Query("""
            select e from EntryEntity e where e.clubId = :clubId and e.contestId = :contestId and e.lifterId = :lifterId
            and e.removedAt is null""")
    Optional<EntryEntity> ofLifter(long clubId, long contestId, long lifterId);

    /** A lifter's entries for contests from a day on, and for those that have none. */
    @Query("""
            select e, c from EntryEntity e join ContestEntity c on c.id = e.contestId and c.clubId = e.clubId
            where e.clubId = :clubId and e.lifterId = :lifterId and e.removedAt is null and c.removedAt is null
            and (c.heldOn is null or c.heldOn >= :from) order by c.heldOn, c.id""")
    List<Object[]> toCome(long clubId, long lifterId, LocalDate from);

    /** All of a lifter's entries, with the contests. */
    @Query("""
            select e, c from EntryEntity e join ContestEntity c on c.id = e.contestId and c.clubId = e.clubId
            where e.clubId = :clubId and e.lifterId = :lifterId and e.removedAt is null and c.removedAt is null
            order by c.heldOn, c.id""")
    List<Object[]> all(long clubId, long lifterId);

    /** Which of these lifters are entered, with the contests, from a day on; by day. */
    @Query("""
            select e.lifterId, c from EntryEntity e join ContestEntity c on c.id = e.contestId and c.clubId = e.clubId
            where e.clubId = :clubId and e.lifterId in (:lifters) and e.removedAt is null and c.removedAt is null
            and coalesce(c.heldUntil, c.heldOn) >= :from order by c.heldOn, c.id, e.id""")
    List<Object[]> dated(long clubId, Collection<Long> lifters, LocalDate from);

    /** How many lifters each contest of a club has. */
    @Query("""
            select e.contestId, count(e) from EntryEntity e where e.clubId = :clubId and e.removedAt is null
            group by e.contestId""")
    List<Object[]> counts(long clubId);

    /** Whoever says something of the same lifter waits. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("""
            select e from EntryEntity e where e.clubId = :clubId and e.contestId = :contestId and e.id = :id
            and e.removedAt is null""")
    Optional<EntryEntity> lock(long clubId, long contestId, long id);

    EntryEntity save(EntryEntity entry);
}
