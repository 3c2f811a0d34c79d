package dev.yarbel.web.book;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.SetUpMeasure;
import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface SetUpRepository extends Repository<SetUpEntity, Long> {

    List<SetUpEntity> findByClubIdAndLifterIdOrderById(long clubId, long lifterId);

    Optional<SetUpEntity> findByClubIdAndLifterIdAndLiftAndMeasure(
            long clubId, long lifterId, Lift lift, SetUpMeasure measure);

    SetUpEntity save(SetUpEntity setUp);

    void delete(SetUpEntity setUp);
}
