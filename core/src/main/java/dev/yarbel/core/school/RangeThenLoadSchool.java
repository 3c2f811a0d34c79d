package dev.yarbel.core.school;

import java.util.ArrayList;
import java.util.List;

/** Rep range, then load: three sets of eight to twelve; a step more once all reach twelve. */
final class RangeThenLoadSchool implements School.Generator {

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
                            ? StrandRequest.dose("3x8-12 %s%%", request.start())
                            : StrandRequest.dose("3x8-12 last %s", request.step()))));
        }
        return strands;
    }
}
