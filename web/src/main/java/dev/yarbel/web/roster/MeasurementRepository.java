package dev.yarbel.web.roster;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface MeasurementRepository extends Repository<Measurement, Long> {

    @Query("""
            select m from Measurement m where m.clubId = :clubId and m.lifterId = :lifterId and m.removedAt is null
            order by m.onDate desc, m.id desc""")
    List<Measurement> all(long clubId, long lifterId);

    Optional<Measurement> findByClubIdAndLifterIdAndId(long clubId, long lifterId, long id);

    Measurement save(Measurement measurement);
}
