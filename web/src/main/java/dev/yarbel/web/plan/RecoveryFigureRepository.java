package dev.yarbel.web.plan;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface RecoveryFigureRepository extends Repository<RecoveryFigure, Long> {

    /** Those of the club and those of the lifter. */
    @Query("""
            select f from RecoveryFigure f
            where f.clubId = :clubId and (f.lifterId is null or f.lifterId = :lifterId) order by f.id""")
    List<RecoveryFigure> findFor(long clubId, long lifterId);

    RecoveryFigure save(RecoveryFigure figure);

    void delete(RecoveryFigure figure);
}
