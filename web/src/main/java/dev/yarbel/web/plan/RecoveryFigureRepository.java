package dev.yarbel.web.plan;

import java.util.List;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface RecoveryFigureRepository extends Repository<RecoveryFigure, Long> {

    /** Those of the club and those of the lifter. */
    @Query("""
            select f from RecoveryFigure f
            where f.clubId = :clubId and (f.lifterId is null or f.lifterId = :lifterId) order by f.id""")
    List<RecoveryFigure> findFor(long clubId, long lifterId);

    /** Sets one, whoever sets it at the same moment. */
    @Modifying
    @NativeQuery("""
            insert into recovery_figure (club_id, lifter_id, lift, then_lift, figure)
            values (:clubId, cast(:lifterId as bigint), :lift, cast(:then as text), :figure)
            on conflict (club_id, lifter_id, lift, then_lift) do update set figure = excluded.figure""")
    int set(long clubId, Long lifterId, String lift, String then, int figure);

    @Modifying
    @Query("delete from RecoveryFigure f where f.clubId = :clubId and f.id = :id")
    int remove(long clubId, long id);
}
