package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.MoveWorkingMax;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.session.FarOff;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.page.UnreadableException;
import java.util.Optional;

/** A working max is moved in the book. */
record WorkingMaxMoved(Book book, MoveWorkingMax proposal) implements Handling {

    private static final Mass HEAVIEST = Mass.ofKg(1000);

    @Override
    public String stands(MassUnit unit) {
        return proposal.before().format(unit, 2);
    }

    @Override
    public Handling own(Reply reply, MassUnit unit) {
        Mass own = read(reply.own(), unit, "calls.error.own");
        if (!reply.meant()
                && FarOff.workingMax(own, Optional.of(proposal.before())).isPresent()) {
            throw new UnreadableException("ask.call-own").in("own");
        }
        return new WorkingMaxMoved(book, new MoveWorkingMax(proposal.lift(), proposal.before(), own));
    }

    /** A load as it was typed; of another one the words of a code say so. */
    static Mass read(String figure, MassUnit unit, String code) {
        try {
            Mass own = Mass.parse(figure, unit);
            if (own.isPositive() && !own.isGreaterThan(HEAVIEST)) {
                return own;
            }
        } catch (IllegalArgumentException notAMass) {
            // the same words say so
        }
        throw new UnreadableException(code).in("own");
    }

    @Override
    public boolean raises() {
        return proposal.raises();
    }

    @Override
    public Optional<Long> take(Decision decision) {
        return book.moveWorkingMax(
                decision.coach(),
                decision.lifter(),
                proposal.lift(),
                proposal.before(),
                proposal.after(),
                decision.kind(),
                decision.why());
    }
}
