package dev.yarbel.web.plan;

import org.springframework.data.repository.Repository;

interface SlotRepository extends Repository<SlotEntity, Long> {

    SlotEntity save(SlotEntity entity);
}
