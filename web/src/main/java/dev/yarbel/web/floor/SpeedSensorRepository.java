package dev.yarbel.web.floor;

import java.util.Optional;
import org.springframework.data.repository.Repository;

/** A code and a key name one sensor of one club by themselves: whoever sends them is not signed in. */
interface SpeedSensorRepository extends Repository<SpeedSensor, Long> {

    Optional<SpeedSensor> findByCodeHash(String codeHash);

    Optional<SpeedSensor> findByKeyHash(String keyHash);

    SpeedSensor save(SpeedSensor sensor);
}
