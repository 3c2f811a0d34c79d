package dev.yarbel.web.roster;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface MeasurementRepository extends Repository<Measurement, Long> {

    @Query("""
            select m from Measurement m where m.clubId = :clubId and m.lifterId = :lifterId and m.removedAt is null
            order by m.onDate desc, m.id desc""")
    List<Measurement> all(long clubId, long lifterId);

    /** Some, by number, after one. */
    @Query("""
            select m from Measurement m where m.clubId = :clubId and m.lifterId = :lifterId and m.removedAt is null
            and m.id > :after order by m.id""")
    List<Measurement> after(long clubId, long lifterId, long after, Limit limit);

    /** What was measured of a kind since a day. */
    @Query("""
            select m from Measurement m where m.clubId = :clubId and m.lifterId = :lifterId and m.kind = :kind
            and m.removedAt is null and m.onDate >= :since order by m.onDate, m.id""")
    List<Measurement> since(long clubId, long lifterId, MeasureKind kind, LocalDate since);

    /** What was measured of a kind on many lifters, oldest first. */
    @Query("""
            select m from Measurement m where m.clubId = :clubId and m.lifterId in :lifters and m.kind = :kind
            and m.removedAt is null order by m.onDate, m.id""")
    List<Measurement> ofMany(long clubId, Collection<Long> lifters, MeasureKind kind);

    @Query("select m from Measurement m where m.clubId = :clubId and m.id in :ids and m.removedAt is null")
    List<Measurement> numbered(long clubId, Collection<Long> ids);

    Optional<Measurement> findByClubIdAndLifterIdAndId(long clubId, long lifterId, long id);

    Measurement save(Measurement measurement);
}
