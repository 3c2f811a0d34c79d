package dev.yarbel.web.clips;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface ClipRepository extends Repository<ClipEntity, Long> {

    List<ClipEntity> findByClubIdAndLifterIdAndSetTokenOrderById(long clubId, long lifterId, UUID setToken);

    List<ClipEntity> findByClubIdAndLifterIdOrderById(long clubId, long lifterId);

    Optional<ClipEntity> findByClubIdAndLifterIdAndId(long clubId, long lifterId, long id);

    int countByClubIdAndLifterIdAndSetToken(long clubId, long lifterId, UUID setToken);

    boolean existsByClubIdAndLifterIdAndFile(long clubId, long lifterId, UUID file);

    ClipEntity save(ClipEntity clip);

    void delete(ClipEntity clip);
}
