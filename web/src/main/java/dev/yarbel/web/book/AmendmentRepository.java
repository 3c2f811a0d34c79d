package dev.yarbel.web.book;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface AmendmentRepository extends Repository<AmendmentEntity, Long> {

    /** What stands of the changes of a session, in the order they were made. */
    @Query("""
            select a from AmendmentEntity a
            where a.clubId = :clubId and a.sessionId = :sessionId and a.takenBackAt is null
            order by a.id""")
    List<AmendmentEntity> standing(long clubId, long sessionId);

    Optional<AmendmentEntity> findByClubIdAndSessionIdAndToken(long clubId, long sessionId, UUID token);

    AmendmentEntity save(AmendmentEntity amendment);
}
