package dev.yarbel.web.book;

import dev.yarbel.core.lift.Lift;
import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface LiftNumbersRepository extends Repository<LiftNumbersEntity, Long> {

    List<LiftNumbersEntity> findByClubIdAndLifterIdOrderById(long clubId, long lifterId);

    Optional<LiftNumbersEntity> findByClubIdAndLifterIdAndLift(long clubId, long lifterId, Lift lift);

    LiftNumbersEntity save(LiftNumbersEntity numbers);
}
