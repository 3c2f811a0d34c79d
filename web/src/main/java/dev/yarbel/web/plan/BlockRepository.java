package dev.yarbel.web.plan;

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

    BlockEntity save(BlockEntity block);
}
