package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;
import java.util.List;

/**
 * What follows a session by its law.
 *
 * @param run what the next session asks for and with what, before rounding, and where the run stands then
 * @param before what was lifted, or will have been, the session before
 * @param reasons why, the weightiest first
 */
public record Step(Answer answer, Mass before, Run run, List<Reason> reasons) {

    /** What is done. */
    public enum Answer {
        /** A step more. */
        ADD,
        /** Two steps more. */
        ADD_DOUBLE,
        /** The same again: nothing was lost, and nothing earned yet. */
        HOLD,
        /** The same again after a miss. */
        REPEAT,
        /** Load comes off, and is built up anew. */
        RESET,
        /** A set dropped, or fewer repetitions; load is added all the same. */
        DROP_SET,
        /** The law has nothing more to give: a fresh run from here, or another school. */
        WALL
    }

    /** A reason as data. */
    public enum Kind {
        /** Every set was made in full. */
        MADE,
        /** The plus set went on so far; repetitions done and asked. */
        PLUS_SET,
        /** A set came short; the sets made and those asked for. */
        MISSED,
        /** It was missed as often as that in a row. */
        MISSED_AGAIN,
        /** Fewer sets were logged than asked for, all of them made; both. */
        SETS_CUT,
        /** It was done lighter than asked. */
        LIGHTER,
        /** A spotter helped with so many repetitions. */
        HELPED,
        /** Missed for another reason than strength: it does not count. */
        EXCUSED,
        /** The range is not worked through; the fewest repetitions and its top. */
        WITHIN_RANGE,
        /** The goal was not made in the time; made and asked. */
        SHORT_OF_GOAL,
        /** Load came off so often that another way is called for. */
        RESETS
    }

    /**
     * One reason with its figures; 0 where it has none.
     *
     * @param of what it is measured against
     */
    public record Reason(Kind kind, int done, int of) {

        static Reason of(Kind kind) {
            return new Reason(kind, 0, 0);
        }
    }

    public Step {
        reasons = List.copyOf(reasons);
    }

    static Step of(Answer answer, Mass before, Run run, Reason... reasons) {
        return new Step(answer, before, run, List.of(reasons));
    }

    /** Whether it is more than a step up, or the same again, as written. */
    public boolean isNoted() {
        return answer != Answer.ADD && answer != Answer.HOLD;
    }

    /** Whether load went up, or the lifter moved on. */
    public boolean isEarned() {
        return answer == Answer.ADD || answer == Answer.ADD_DOUBLE || answer == Answer.DROP_SET;
    }
}
