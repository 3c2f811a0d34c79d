package dev.yarbel.web.contest;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface EventRepository extends Repository<EventEntity, Long> {

    /** In the order in which they are held. */
    @Query("""
            select e from EventEntity e where e.clubId = :clubId and e.contestId = :contestId and e.removedAt is null
            order by e.place, e.id""")
    List<EventEntity> of(long clubId, long contestId);

    Optional<EventEntity> findByClubIdAndContestIdAndId(long clubId, long contestId, long id);

    EventEntity save(EventEntity event);
}
