package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.List;

/** An entry of the ledger in the reader's words. */
record LedgerLine(Change change, String subject, String before, String after) {

    static LedgerLine of(Change change, Words words) {
        List<String> parts = new ArrayList<>(change.subject());
        parts.set(0, words.lift(new Lift(parts.get(0))));
        return new LedgerLine(
                change,
                words.say("change.subject." + change.kind(), parts.toArray()),
                said(change.kind(), change.before(), words),
                said(change.kind(), change.after(), words));
    }

    private static String said(ChangeKind kind, String what, Words words) {
        return switch (kind) {
            case CURVE -> words.say(curveName(RepCurve.parse(what)), what);
            case SET_CORRECTED -> set(what, words);
            case DOSE, CALL_TAKEN, CALL_CHANGED, CALL_LEFT -> what;
        };
    }

    private static String set(String what, Words words) {
        return WrittenSet.parse(what)
                .map(set -> words.say("change.set", set.load(), set.reps(), words.say("left." + set.effort())))
                .orElse(what);
    }

    /** The code of a curve's name in the bundle. */
    static String curveName(RepCurve curve) {
        return curve instanceof RepFormula ? "curve." + curve.key() : "curve.own";
    }
}
