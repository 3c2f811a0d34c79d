package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.MoveWorkingMax;
import dev.yarbel.core.adjust.Proposal;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Finds what a coach can do with each kind of proposal, and takes back what was done. */
@Component
class Handlers implements Proposal.Visitor<Handling> {

    private final Book book;
    private final Ledger ledger;

    Handlers(Book book, Ledger ledger) {
        this.book = book;
        this.ledger = ledger;
    }

    Handling of(Proposal proposal) {
        return proposal.accept(this);
    }

    @Override
    public Handling moveWorkingMax(MoveWorkingMax proposal) {
        return new WorkingMaxMoved(book, proposal);
    }

    /**
     * Puts back what an answer's entry in the ledger moved, within the caller's transaction; an answer that moved nothing is
     * only said to be taken back.
     *
     * @return whether it could be
     */
    boolean takeBack(Person coach, LifterCard lifter, Lift lift, long entry) {
        if (ledger.isOvertaken(lifter, lift, entry)) {
            return false;
        }
        Optional<Ledger.MovedMax> moved = ledger.moved(lifter, entry);
        if (moved.isPresent()) {
            MoveWorkingMax back =
                    new MoveWorkingMax(lift, moved.get().after(), moved.get().before());
            return of(back).take(new Handling.Decision(coach, lifter, ChangeKind.CALL_TAKEN_BACK, Optional.empty()))
                    .isPresent();
        }
        ledger.decide(coach, lifter, ChangeKind.CALL_TAKEN_BACK, lift, Optional.empty(), "", "", Optional.empty());
        return true;
    }
}
