package dev.yarbel.web.book;

import java.util.List;
import org.springframework.data.repository.Repository;

interface SetUpRepository extends Repository<SetUpEntity, Long> {

    List<SetUpEntity> findByClubIdAndLifterIdOrderById(long clubId, long lifterId);

    SetUpEntity save(SetUpEntity setUp);

    void delete(SetUpEntity setUp);
}
