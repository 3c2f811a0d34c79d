package dev.yarbel.web.floor;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** A code and a key name one sensor of one club by themselves: whoever sends them is not signed in. */
interface SpeedSensorRepository extends Repository<SpeedSensor, Long> {

    /** The sensor of a code, held until the end of the transaction: of many that pair at once one does. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from SpeedSensor s where s.codeHash = :codeHash")
    Optional<SpeedSensor> lockByCodeHash(String codeHash);

    Optional<SpeedSensor> findByKeyHash(String keyHash);

    SpeedSensor save(SpeedSensor sensor);
}
