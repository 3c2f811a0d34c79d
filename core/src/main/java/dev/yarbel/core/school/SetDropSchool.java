package dev.yarbel.core.school;

import java.util.ArrayList;
import java.util.List;

/**
 * Set-drop stages: three sets of eight, a step more each time. The plan goes on with three sets: when one is dropped is for
 * the log to say, by {@link dev.yarbel.core.progress.SetDropStages}.
 */
final class SetDropSchool implements School.Generator {

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
                            ? StrandRequest.dose("3x8 %s%% stages", request.start())
                            : StrandRequest.dose("3x8 last %s stages", request.step()))));
        }
        return strands;
    }
}
