package dev.yarbel.web.block;

import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface BlockRepository extends Repository<BlockEntity, Long> {

    /**
     * The block of a number, or without one the last block begun by a day, else the first to come, with its days, slots,
     * doses and opened gates: at least one row a dose, day and slot.
     */
    @Query("""
            select b, d, s, c, g from BlockEntity b
            left join DayEntity d on d.blockId = b.id and d.clubId = b.clubId and d.removedAt is null
            left join SlotEntity s on s.blockDayId = d.id and s.clubId = d.clubId and s.removedAt is null
            left join DoseCell c on c.slotId = s.id and c.clubId = s.clubId
            left join GateConfirmation g on g.slotId = s.id and g.clubId = s.clubId
            where b.clubId = :clubId and b.lifterId = :lifterId and b.id = coalesce(
                :blockId,
                (select l.id from BlockEntity l where l.clubId = :clubId and l.lifterId = :lifterId
                    and l.startOn <= :today order by l.startOn desc, l.id desc limit 1),
                (select f.id from BlockEntity f where f.clubId = :clubId and f.lifterId = :lifterId
                    order by f.startOn, f.id limit 1))
            order by d.position, d.id, s.position, s.id, c.week""")
    List<Object[]> findOpen(long clubId, long lifterId, Long blockId, LocalDate today);

    /** All days, slots, doses and opened gates of a block, those taken away among them. */
    @Query("""
            select d, s, c, g from BlockEntity b
            join DayEntity d on d.blockId = b.id and d.clubId = b.clubId
            left join SlotEntity s on s.blockDayId = d.id and s.clubId = d.clubId
            left join DoseCell c on c.slotId = s.id and c.clubId = s.clubId
            left join GateConfirmation g on g.slotId = s.id and g.clubId = s.clubId
            where b.clubId = :clubId and b.id = :blockId""")
    List<Object[]> findWhole(long clubId, long blockId);

    /** A block, held until the end of the transaction, so that it is changed by one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select b from BlockEntity b where b.clubId = :clubId and b.lifterId = :lifterId and b.id = :id")
    Optional<BlockEntity> lock(long clubId, long lifterId, long id);

    /** A lifter's blocks, the latest first. */
    List<BlockEntity> findByClubIdAndLifterIdOrderByStartOnDescIdDesc(long clubId, long lifterId);

    /** The number of the block that has a day. */
    @Query("""
            select b.id from BlockEntity b join DayEntity d on d.blockId = b.id and d.clubId = b.clubId
            where b.clubId = :clubId and b.lifterId = :lifterId and d.id = :day and d.removedAt is null""")
    Optional<Long> findHolding(long clubId, long lifterId, long day);

    /** Brings a block back that was taken away; how many there were of this number. */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("""
            update block set removed_at = null
            where club_id = :clubId and lifter_id = :lifterId and id = :id and removed_at is not null""")
    int bringBack(long clubId, long lifterId, long id);

    /** The blocks that were given from another. */
    List<BlockEntity> findByClubIdAndGivenFrom(long clubId, long blockId);

    /** The days that these lifters' blocks lead to, from a day on: lifter, day. */
    @Query("""
            select b.lifterId, b.contestOn from BlockEntity b
            where b.clubId = :clubId and b.lifterId in :lifterIds and b.contestOn >= :from
            order by b.contestOn""")
    List<Object[]> findContests(long clubId, Collection<Long> lifterIds, LocalDate from);

    /** The slots of these lifters' blocks: block, day, slot. */
    @Query("""
            select b, d, s from BlockEntity b
            join DayEntity d on d.blockId = b.id and d.clubId = b.clubId and d.removedAt is null
            join SlotEntity s on s.blockDayId = d.id and s.clubId = d.clubId and s.removedAt is null
            where b.clubId = :clubId and b.lifterId in :lifterIds
            order by b.lifterId, b.startOn, d.position, s.position""")
    List<Object[]> findSlots(long clubId, Collection<Long> lifterIds);
}
