package dev.yarbel.core.school;

import java.util.ArrayList;
import java.util.List;

/**
 * The same sets each session, begun at a share of the max and going on from the time before: set-drop stages, and rep range
 * then load. When a set is dropped, or a step earned, is for the log to say, by
 * {@link dev.yarbel.core.progress.SetDropStages} and {@link dev.yarbel.core.progress.RangeThenLoad}.
 */
final class FromLastTimeSchool implements School.Generator {

    private final String sets;
    private final String after;

    /**
     * @param sets sets and repetitions in shorthand
     * @param after what stands after the load
     */
    FromLastTimeSchool(String sets, String after) {
        this.sets = sets;
        this.after = after;
    }

    @Override
    public List<Strand> draw(StrandRequest request) {
        List<Strand> strands = new ArrayList<>();
        for (int s = 0; s < request.sessions(); s++) {
            int session = s;
            strands.add(new Strand(
                    session,
                    Strand.MAIN,
                    request.lift(),
                    Purpose.CONTEST_LIFT,
                    request.each(week -> week == 0 && session == 0
                            ? StrandRequest.dose(sets + " %s%%" + after, request.start())
                            : StrandRequest.dose(sets + " last %s" + after, request.step()))));
        }
        return strands;
    }
}
