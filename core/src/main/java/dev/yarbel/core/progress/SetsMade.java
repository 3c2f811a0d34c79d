package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.progress.Step.Kind;
import dev.yarbel.core.progress.Step.Reason;

/**
 * Whether the sets that a session asked for were made: all of them, in full, without help, at the load asked for. A load
 * within 1 % counts as the one asked for, since another gym may not have it to the gram (a starting value of ours).
 *
 * @param load the load they count for: the one asked for, or the heavier one that was lifted instead
 * @param reason why it is so
 */
record SetsMade(Verdict verdict, Mass load, Reason reason) {

    private static final Percent AS_ASKED = Percent.of(99);

    enum Verdict {
        MADE,
        MISSED,
        /** Neither: it says nothing about the load. */
        OPEN
    }

    static SetsMade of(Run run, Result result) {
        return of(run, result, run.work().sets(), run.work().reps());
    }

    static SetsMade of(Run run, Result result, int sets, int reps) {
        Mass lifted = result.loadOf(sets);
        boolean lighter = lifted.isLessThan(run.load().times(AS_ASKED));
        Mass load = lighter ? run.load() : lifted;
        int full = result.full(reps, lifted).size();
        if (full >= sets && !lighter) {
            return new SetsMade(Verdict.MADE, load, new Reason(Kind.MADE, full, sets));
        }
        if (result.isExcused()) {
            return new SetsMade(Verdict.OPEN, load, Reason.of(Kind.EXCUSED));
        }
        if (full >= sets) {
            return new SetsMade(Verdict.MISSED, load, Reason.of(Kind.LIGHTER));
        }
        if (full == result.sets().size() && !lighter) {
            return new SetsMade(Verdict.OPEN, load, new Reason(Kind.SETS_CUT, full, sets));
        }
        return new SetsMade(
                Verdict.MISSED,
                load,
                result.helped() > 0
                        ? new Reason(Kind.HELPED, result.helped(), 0)
                        : new Reason(Kind.MISSED, full, sets));
    }
}
