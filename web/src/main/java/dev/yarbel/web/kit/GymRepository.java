package dev.yarbel.web.kit;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface GymRepository extends Repository<GymEntity, Long> {

    @Query("select g from GymEntity g where g.clubId = :clubId and g.removedAt is null order by g.name, g.id")
    List<GymEntity> all(long clubId);

    Optional<GymEntity> findByClubIdAndId(long clubId, long id);

    /** How many of these gyms are open. */
    long countByClubIdAndIdInAndRemovedAtIsNull(long clubId, Collection<Long> ids);

    /** An open gym and each piece in it; one row without a piece for an empty gym. */
    @Query("""
            select g, p from GymEntity g left join PieceEntity p on p.gymId = g.id and p.removedAt is null
            where g.clubId = :clubId and g.id = :id and g.removedAt is null order by p.id""")
    List<Object[]> findWithPieces(long clubId, long id);

    /**
     * The same for the gym a lifter is in on a day, the one chosen for it, else their usual one; and the number of the
     * bar they usually take there.
     */
    @Query("""
            select g, p, (select u.barId from LifterGym u
                where u.clubId = :clubId and u.lifterId = :lifterId and u.gymId = g.id)
            from GymEntity g left join PieceEntity p on p.gymId = g.id and p.removedAt is null
            where g.clubId = :clubId and g.id = coalesce(
                (select d.gymId from GymDay d where d.clubId = :clubId and d.lifterId = :lifterId and d.onDate = :day),
                (select l.gymId from LifterGym l where l.clubId = :clubId and l.lifterId = :lifterId
                    and l.position = (select min(m.position) from LifterGym m
                        where m.clubId = :clubId and m.lifterId = :lifterId)))
            order by p.id""")
    List<Object[]> findAtHand(long clubId, long lifterId, LocalDate day);

    /** A lifter's gyms, the usual one first. */
    @Query("""
            select g from GymEntity g join LifterGym l on l.gymId = g.id
            where l.clubId = :clubId and l.lifterId = :lifterId order by l.position""")
    List<GymEntity> ofLifter(long clubId, long lifterId);

    /** What takes plates in a lifter's gyms. */
    @Query("""
            select p from PieceEntity p join LifterGym l on l.gymId = p.gymId
            where p.clubId = :clubId and l.lifterId = :lifterId and p.removedAt is null
            and p.shelf = dev.yarbel.web.kit.Shelf.BARS order by p.id""")
    List<PieceEntity> barsOf(long clubId, long lifterId);

    /** The usual gym's name of each of these lifters. */
    @Query("""
            select l.lifterId, g.name from LifterGym l join GymEntity g on g.id = l.gymId
            where l.clubId = :clubId and l.lifterId in :lifterIds
            and l.position = (select min(m.position) from LifterGym m where m.lifterId = l.lifterId)""")
    List<Object[]> usual(long clubId, Collection<Long> lifterIds);

    /** The lifters whose usual gym this is. */
    @Query("""
            select l.lifterId from LifterGym l where l.clubId = :clubId and l.gymId = :gymId
            and l.position = (select min(m.position) from LifterGym m where m.lifterId = l.lifterId)""")
    List<Long> usualOf(long clubId, long gymId);

    GymEntity save(GymEntity gym);
}
