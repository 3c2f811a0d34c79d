package dev.yarbel.core.school;

import java.util.ArrayList;
import java.util.List;

/** Schools whose whole law hangs on the last time: set-drop stages, and a range of repetitions before load is added. */
final class FromLastTimeSchool implements School.Method {

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

    /** Sets are dropped once the last one loses repetitions; a range is worked through with some left. */
    @Override
    public boolean goesToTheLimit() {
        return !after.isEmpty();
    }

    @Override
    public List<LiftProgression> draw(ProgressionRequest request) {
        List<LiftProgression> strands = new ArrayList<>();
        for (int s = 0; s < request.sessions(); s++) {
            int session = s;
            strands.add(new LiftProgression(
                    session,
                    LiftProgression.MAIN,
                    request.lift(),
                    Purpose.CONTEST_LIFT,
                    request.each(week -> week == 0 && session == 0
                            ? ProgressionRequest.dose(sets + " %s%%" + after, request.start())
                            : ProgressionRequest.dose(sets + " last %s" + after, request.step()))));
        }
        strands.addAll(request.assistance(0, "3x8-12 @8", "2x10-15 @8"));
        return strands;
    }
}
