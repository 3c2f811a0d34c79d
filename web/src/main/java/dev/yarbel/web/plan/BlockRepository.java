package dev.yarbel.web.plan;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface BlockRepository extends Repository<BlockEntity, Long> {

    List<BlockEntity> findByClubIdAndLifterIdOrderByStartOn(long clubId, long lifterId);

    /** A block's days, slots and doses: one row a dose, at least one for each day and slot. */
    @Query("""
            select d, s, c from DayEntity d
            left join SlotEntity s on s.blockDayId = d.id and s.clubId = d.clubId
            left join DoseCell c on c.slotId = s.id and c.clubId = s.clubId
            where d.clubId = :clubId and d.blockId = :blockId
            order by d.position, s.position, c.week""")
    List<Object[]> findTree(long clubId, long blockId);

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
