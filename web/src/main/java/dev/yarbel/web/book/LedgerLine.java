package dev.yarbel.web.book;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.List;

/** An entry of the ledger with its subject in the reader's words. */
record LedgerLine(Change change, String subject) {

    static LedgerLine of(Change change, Words words) {
        List<String> parts = new ArrayList<>(change.subject());
        parts.set(0, words.lift(new Lift(parts.get(0))));
        return new LedgerLine(change, words.say("change.subject." + change.kind(), parts.toArray()));
    }
}
