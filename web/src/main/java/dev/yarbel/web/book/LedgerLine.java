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
        boolean curve = change.kind() == ChangeKind.CURVE;
        return new LedgerLine(
                change,
                words.say("change.subject." + change.kind(), parts.toArray()),
                curve ? curve(change.before(), words) : change.before(),
                curve ? curve(change.after(), words) : change.after());
    }

    private static String curve(String key, Words words) {
        return words.say(curveName(RepCurve.parse(key)), key);
    }

    /** The code of a curve's name in the bundle. */
    static String curveName(RepCurve curve) {
        return curve instanceof RepFormula ? "curve." + curve.key() : "curve.own";
    }
}
