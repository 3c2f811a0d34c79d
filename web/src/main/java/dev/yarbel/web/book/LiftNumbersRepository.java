package dev.yarbel.web.book;

import dev.yarbel.core.lift.Lift;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LiftNumbersRepository extends Repository<LiftNumbersEntity, Long> {

    /** Each lift's numbers with the maxes set down for it, oldest first: one row a max, at least one a lift. */
    @Query("""
            select n, m from LiftNumbersEntity n
            left join RecordedMaxEntity m on m.clubId = n.clubId and m.lifterId = n.lifterId and m.lift = n.lift
                and m.removedAt is null
            where n.clubId = :clubId and n.lifterId = :lifterId order by n.id, m.onDate, m.id""")
    List<Object[]> findWithMaxes(long clubId, long lifterId);

    List<LiftNumbersEntity> findByClubIdAndLifterIdOrderById(long clubId, long lifterId);

    Optional<LiftNumbersEntity> findByClubIdAndLifterIdAndLift(long clubId, long lifterId, Lift lift);

    Optional<LiftNumbersEntity> findByClubIdAndLifterIdAndId(long clubId, long lifterId, long id);

    List<LiftNumbersEntity> findByClubIdAndLifterIdIn(long clubId, Collection<Long> lifters);

    Optional<LiftNumbersEntity> findByClubIdAndId(long clubId, long id);

    LiftNumbersEntity save(LiftNumbersEntity numbers);
}
