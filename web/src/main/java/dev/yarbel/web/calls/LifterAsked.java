package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.AskLifter;
import dev.yarbel.core.measure.MassUnit;
import java.util.Optional;

/** The lifter is asked, and everything stays as it is planned. */
record LifterAsked(Handlers handlers, AskLifter question) implements Handling {

    private NothingChanged nothing() {
        return new NothingChanged(handlers, question.lift(), Optional.empty());
    }

    @Override
    public String stands(MassUnit unit) {
        return "";
    }

    @Override
    public Handling own(Reply reply, MassUnit unit) {
        return nothing().own(reply, unit);
    }

    @Override
    public boolean raises() {
        return false;
    }

    @Override
    public Optional<Long> take(Decision decision) {
        long session = handlers.cause().session().orElseThrow();
        handlers.questions().ask(decision.coach(), decision.lifter(), session, question);
        return nothing().take(decision);
    }
}
