package dev.yarbel.web.plan;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface DayRepository extends Repository<DayEntity, Long> {

    /** A training day, held until the end of the transaction, so that its doses are kept one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select d from DayEntity d where d.clubId = :clubId and d.id = :id")
    Optional<DayEntity> lock(long clubId, long id);

    DayEntity save(DayEntity entity);
}
