package dev.yarbel.web.book;

import java.util.List;
import org.springframework.data.repository.Repository;

interface OwnVariationRepository extends Repository<OwnVariation, Long> {

    List<OwnVariation> findByClubIdOrderById(long clubId);

    OwnVariation save(OwnVariation variation);
}
