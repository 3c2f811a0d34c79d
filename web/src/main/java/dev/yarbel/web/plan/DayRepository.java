package dev.yarbel.web.plan;

import org.springframework.data.repository.Repository;

interface DayRepository extends Repository<DayEntity, Long> {

    DayEntity save(DayEntity entity);
}
