package dev.yarbel.web.block;

import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.review.Gate;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Gates before schemes that hurt people who are not ready for them, and how a coach opens one in their own name. */
@Component
class Gates {

    private final GateConfirmationRepository confirmations;
    private final Ledger ledger;
    private final Clock clock;

    Gates(GateConfirmationRepository confirmations, Ledger ledger, Clock clock) {
        this.confirmations = confirmations;
        this.ledger = ledger;
        this.clock = clock;
    }

    /** Opens a gate of a slot, with the spotter who will stand by. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void open(Person coach, LifterBlock block, SlotId id, Gate gate, String spotter) {
        Slot slot = block.block().slot(id).orElseThrow(NotFoundException::new);
        long club = block.lifter().clubId();
        if (confirmations.existsByClubIdAndSlotIdAndGate(club, id.number(), gate)) {
            return;
        }
        confirmations.save(new GateConfirmation(
                club, block.lifter().id(), id.number(), gate, spotter, coach.personName(), clock.instant()));
        ledger.write(
                coach,
                block.lifter(),
                ChangeKind.GATE,
                List.of(slot.lift().key(), gate.name()),
                Optional.empty(),
                "",
                spotter);
    }
}
