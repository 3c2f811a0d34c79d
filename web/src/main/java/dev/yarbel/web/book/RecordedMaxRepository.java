package dev.yarbel.web.book;

import dev.yarbel.core.lift.Lift;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface RecordedMaxRepository extends Repository<RecordedMaxEntity, Long> {

    /** Of those of one day, the one set down last comes first. */
    @Query("""
            select m from RecordedMaxEntity m where m.clubId = :clubId and m.lifterId = :lifterId and m.lift = :lift
            and m.removedAt is null order by m.onDate desc, m.id desc limit 1""")
    Optional<RecordedMaxEntity> newest(long clubId, long lifterId, Lift lift);

    Optional<RecordedMaxEntity> findByClubIdAndLifterIdAndId(long clubId, long lifterId, long id);

    /** Of many lifters, oldest first. */
    @Query("""
            select m from RecordedMaxEntity m where m.clubId = :clubId and m.lifterId in :lifters and m.removedAt is null
            order by m.onDate, m.id""")
    List<RecordedMaxEntity> of(long clubId, Collection<Long> lifters);

    /** Some, by number, after one. */
    @Query("""
            select m from RecordedMaxEntity m where m.clubId = :clubId and m.lifterId = :lifterId and m.removedAt is null
            and m.id > :after order by m.id""")
    List<RecordedMaxEntity> after(long clubId, long lifterId, long after, Limit limit);

    @Query("select m from RecordedMaxEntity m where m.clubId = :clubId and m.id in :ids and m.removedAt is null")
    List<RecordedMaxEntity> numbered(long clubId, Collection<Long> ids);

    RecordedMaxEntity save(RecordedMaxEntity max);
}
