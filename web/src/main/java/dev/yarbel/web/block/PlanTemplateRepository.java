package dev.yarbel.web.block;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface PlanTemplateRepository extends Repository<PlanTemplate, Long> {

    List<PlanTemplate> findByClubIdAndRemovedAtIsNullOrderByKindAscNameAsc(long clubId);

    Optional<PlanTemplate> findByClubIdAndId(long clubId, long id);

    PlanTemplate save(PlanTemplate template);
}
