package dev.yarbel.web.kit;

import java.time.LocalDate;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface GymDayRepository extends Repository<GymDay, Long> {

    Optional<GymDay> findByClubIdAndLifterIdAndOnDate(long clubId, long lifterId, LocalDate onDate);

    GymDay save(GymDay day);
}
