package dev.yarbel.web.roster;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface AcheRepository extends Repository<AcheEntity, Long> {

    List<AcheEntity> findByClubIdAndLifterIdOrderBySinceDesc(long clubId, long lifterId);

    Optional<AcheEntity> findByClubIdAndLifterIdAndId(long clubId, long lifterId, long id);

    /** Which of these lifters have an open ache. */
    @Query("""
            select distinct a.lifterId from AcheEntity a
            where a.clubId = :clubId and a.lifterId in :lifterIds and a.clearedOn is null""")
    List<Long> open(long clubId, Collection<Long> lifterIds);

    AcheEntity save(AcheEntity ache);
}
