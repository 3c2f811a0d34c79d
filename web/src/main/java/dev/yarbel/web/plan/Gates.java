package dev.yarbel.web.plan;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.review.Gate;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.book.LiftStanding;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gates before schemes that hurt people who are not ready for them, and how a coach opens one in their own name. */
@Service
class Gates {

    private final GateConfirmationRepository confirmations;
    private final Ledger ledger;
    private final Clock clock;

    Gates(GateConfirmationRepository confirmations, Ledger ledger, Clock clock) {
        this.confirmations = confirmations;
        this.ledger = ledger;
        this.clock = clock;
    }

    /** What the book knows of a lifter in a lift, as far as a gate asks. */
    static Gate.Known known(LifterPlan plan, Lift lift) {
        Catalogue catalogue = plan.standing().catalogue();
        Lift root = catalogue.root(lift);
        Optional<Mastery> mastery = Stream.of(lift, root)
                .flatMap(l -> plan.standing().of(l).stream())
                .map(LiftStanding::mastery)
                .flatMap(Optional::stream)
                .findFirst();
        return new Gate.Known(
                mastery, isInLog(plan, catalogue, root, "assisted-"), isInLog(plan, catalogue, root, "slow-lowering-"));
    }

    private static boolean isInLog(LifterPlan plan, Catalogue catalogue, Lift root, String kind) {
        return plan.standing().log().stream()
                .flatMap(session -> session.sets().stream())
                .map(done -> done.set().lift())
                .anyMatch(lift ->
                        lift.key().startsWith(kind) && catalogue.root(lift).equals(root));
    }

    /** Opens a gate of a slot, with the spotter who will stand by. */
    @Transactional
    public void open(Person coach, LifterPlan plan, long slotId, Gate gate, Typed typed) {
        int day = 0;
        while (day < plan.slotIds().size() && !plan.slotIds().get(day).contains(slotId)) {
            day++;
        }
        if (day == plan.slotIds().size()) {
            throw new NotFoundException();
        }
        String spotter = typed.read("spotter", text -> Reading.words(text, 80));
        if (!confirmations.existsByClubIdAndSlotIdAndGate(plan.lifter().clubId(), slotId, gate)) {
            confirmations.save(new GateConfirmation(
                    plan.lifter().clubId(),
                    plan.lifter().id(),
                    slotId,
                    gate,
                    spotter,
                    coach.personName(),
                    clock.instant()));
            Lift lift = plan.block()
                    .days()
                    .get(day)
                    .slots()
                    .get(plan.slotIds().get(day).indexOf(slotId))
                    .lift();
            ledger.write(
                    coach,
                    plan.lifter(),
                    ChangeKind.GATE,
                    List.of(lift.key(), gate.name()),
                    Optional.empty(),
                    "",
                    spotter);
        }
    }
}
