package dev.yarbel.web.kit;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface PieceRepository extends Repository<PieceEntity, Long> {

    Optional<PieceEntity> findByClubIdAndId(long clubId, long id);

    PieceEntity save(PieceEntity piece);
}
