package dev.yarbel.web.roster;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LifterNoteRepository extends Repository<LifterNote, Long> {

    @Query("""
            select n from LifterNote n where n.clubId = :clubId and n.lifterId = :lifterId and n.removedAt is null
            order by n.id desc""")
    List<LifterNote> all(long clubId, long lifterId);

    Optional<LifterNote> findByClubIdAndLifterIdAndId(long clubId, long lifterId, long id);

    LifterNote save(LifterNote note);
}
