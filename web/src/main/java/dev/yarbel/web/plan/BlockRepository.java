package dev.yarbel.web.plan;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface BlockRepository extends Repository<BlockEntity, Long> {

    /**
     * The last block begun by a day, else the first to come, with its days, slots and doses: one row a dose, at least one
     * for each day and slot.
     */
    @Query("""
            select b, d, s, c from BlockEntity b
            left join DayEntity d on d.blockId = b.id and d.clubId = b.clubId
            left join SlotEntity s on s.blockDayId = d.id and s.clubId = d.clubId
            left join DoseCell c on c.slotId = s.id and c.clubId = s.clubId
            where b.clubId = :clubId and b.lifterId = :lifterId and b.id = coalesce(
                (select l.id from BlockEntity l where l.clubId = :clubId and l.lifterId = :lifterId
                    and l.startOn <= :today order by l.startOn desc, l.id desc limit 1),
                (select f.id from BlockEntity f where f.clubId = :clubId and f.lifterId = :lifterId
                    order by f.startOn, f.id limit 1))
            order by d.position, s.position, c.week""")
    List<Object[]> findCurrent(long clubId, long lifterId, LocalDate today);

    /** The slots of these lifters' blocks: block, day, slot. */
    @Query("""
            select b, d, s from BlockEntity b
            join DayEntity d on d.blockId = b.id and d.clubId = b.clubId
            join SlotEntity s on s.blockDayId = d.id and s.clubId = d.clubId
            where b.clubId = :clubId and b.lifterId in :lifterIds
            order by b.lifterId, b.startOn, d.position, s.position""")
    List<Object[]> findSlots(long clubId, Collection<Long> lifterIds);

    BlockEntity save(BlockEntity block);
}
