package dev.yarbel.web.plan;

import java.util.Collection;
import java.util.List;
import org.springframework.data.repository.Repository;

interface DoseCellRepository extends Repository<DoseCell, Long> {

    List<DoseCell> findByClubIdAndSlotIdIn(long clubId, Collection<Long> slotIds);

    DoseCell save(DoseCell cell);

    void delete(DoseCell cell);
}
