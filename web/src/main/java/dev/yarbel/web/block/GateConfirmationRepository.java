package dev.yarbel.web.block;

import dev.yarbel.core.review.Gate;
import org.springframework.data.repository.Repository;

interface GateConfirmationRepository extends Repository<GateConfirmation, Long> {

    boolean existsByClubIdAndSlotIdAndGate(long clubId, long slotId, Gate gate);

    GateConfirmation save(GateConfirmation confirmation);
}
