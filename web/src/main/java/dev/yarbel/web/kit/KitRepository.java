package dev.yarbel.web.kit;

import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface KitRepository extends Repository<KitEntity, Long> {

    @Query("select k from KitEntity k left join fetch k.plates where k.clubId = :clubId and k.id = :id")
    Optional<KitEntity> find(long clubId, long id);

    KitEntity save(KitEntity kit);
}
