package dev.yarbel.web.contest;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ContestRepository extends Repository<ContestEntity, Long> {

    /** By day; those without one last. */
    @Query("""
            select c from ContestEntity c where c.clubId = :clubId and c.removedAt is null
            order by c.heldOn, c.id""")
    List<ContestEntity> all(long clubId);

    Optional<ContestEntity> findByClubIdAndId(long clubId, long id);

    ContestEntity save(ContestEntity contest);
}
