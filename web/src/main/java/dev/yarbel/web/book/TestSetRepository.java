package dev.yarbel.web.book;

import dev.yarbel.core.lift.Lift;
import java.time.LocalDate;
import java.util.List;
import org.springframework.data.repository.Repository;

interface TestSetRepository extends Repository<TestSetEntity, Long> {

    List<TestSetEntity> findByClubIdAndLifterIdAndLiftAndOnDateOrderByNumber(
            long clubId, long lifterId, Lift lift, LocalDate onDate);

    TestSetEntity save(TestSetEntity set);

    void delete(TestSetEntity set);
}
