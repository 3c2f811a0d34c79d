package dev.yarbel.web.kit;

import java.util.List;
import org.springframework.data.repository.Repository;

interface LifterGymRepository extends Repository<LifterGym, Long> {

    List<LifterGym> findByClubIdAndLifterIdOrderByPosition(long clubId, long lifterId);

    boolean existsByClubIdAndGymId(long clubId, long gymId);

    LifterGym save(LifterGym gym);

    void delete(LifterGym gym);
}
