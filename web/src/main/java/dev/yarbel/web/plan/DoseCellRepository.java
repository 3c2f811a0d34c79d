package dev.yarbel.web.plan;

import org.springframework.data.repository.Repository;

interface DoseCellRepository extends Repository<DoseCell, Long> {

    DoseCell save(DoseCell cell);

    void delete(DoseCell cell);
}
