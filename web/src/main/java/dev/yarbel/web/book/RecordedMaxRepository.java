package dev.yarbel.web.book;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface RecordedMaxRepository extends Repository<RecordedMaxEntity, Long> {

    /** Oldest first; of those of one day, the one set down last comes last. */
    @Query("""
            select m from RecordedMaxEntity m where m.clubId = :clubId and m.lifterId = :lifterId
            and m.removedAt is null order by m.onDate, m.id""")
    List<RecordedMaxEntity> all(long clubId, long lifterId);

    Optional<RecordedMaxEntity> findByClubIdAndLifterIdAndId(long clubId, long lifterId, long id);

    RecordedMaxEntity save(RecordedMaxEntity max);
}
