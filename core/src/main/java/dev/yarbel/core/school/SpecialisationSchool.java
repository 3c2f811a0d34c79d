package dev.yarbel.core.school;

import dev.yarbel.core.measure.Percent;
import java.util.ArrayList;
import java.util.List;

/**
 * Specialisation on one lift: for a pull, three heights in one session, overloading from the top down, and density singles
 * on the other day; for any other lift, clusters on one day and density singles on the other. The density load stays until
 * the whole goal is made.
 */
final class SpecialisationSchool implements School.Generator {

    @Override
    public List<Strand> draw(StrandRequest request) {
        List<Strand> strands = new ArrayList<>();
        List<Percent> shares = request.upTo(87);
        if (request.isPull()) {
            String[] heights = {"above-knee-pull", "mid-shin-pull", "deficit-deadlift"};
            for (int i = 0; i < heights.length; i++) {
                int rank = i == 0 ? Strand.MAIN : Strand.SECOND;
                request.firstAvailable(heights[i])
                        .ifPresent(height -> strands.add(new Strand(
                                0,
                                rank,
                                height,
                                Purpose.THREE_HEIGHTS,
                                request.each(week -> StrandRequest.dose("3x3 %s%% rest 180", shares.get(week))))));
            }
        } else {
            strands.add(new Strand(
                    0,
                    Strand.MAIN,
                    request.lift(),
                    Purpose.CONTEST_LIFT,
                    request.each(week -> StrandRequest.dose(
                            "%sx(%sx1 20s) 3rm rest 180",
                            request.through(week) < 0.34 ? 2 : 3, request.through(week) < 0.67 ? 4 : 5))));
        }
        for (int session = 1; session < request.sessions(); session++) {
            strands.add(new Strand(
                    session,
                    Strand.MAIN,
                    request.lift(),
                    Purpose.CONTEST_LIFT,
                    request.each(week -> week < 2
                            ? StrandRequest.dose("10x1 in 10min gap 30 %s%%", week == 0 ? 85 : 90)
                            : StrandRequest.dose("10x1 in 10min gap 30 last %s", request.step()))));
        }
        return strands;
    }
}
