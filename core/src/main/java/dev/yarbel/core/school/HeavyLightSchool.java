package dev.yarbel.core.school;

import dev.yarbel.core.measure.Percent;
import java.util.ArrayList;
import java.util.List;

/** Heavy day and light day: fives that lead up in shrinking steps, and the same lift at 80 % of that load between. */
final class HeavyLightSchool implements School.Method {

    private static final int LIGHT = 80;

    @Override
    public List<LiftProgression> draw(ProgressionRequest request) {
        List<Percent> shares = request.upTo(87);
        List<LiftProgression> strands = new ArrayList<>();
        strands.add(new LiftProgression(
                0,
                LiftProgression.MAIN,
                request.lift(),
                Purpose.CONTEST_LIFT,
                request.each(week -> ProgressionRequest.dose(
                        "3x%s %s%%",
                        request.reps(shares.get(week), 3, "9", 2, request.through(week) < 0.7 ? 5 : 3),
                        shares.get(week)))));
        for (int session = 1; session < request.sessions(); session++) {
            strands.add(new LiftProgression(
                    session,
                    LiftProgression.SECOND,
                    request.lift(),
                    Purpose.LIGHT_DAY,
                    request.each(week ->
                            ProgressionRequest.dose("3x5 %s%%", ProgressionRequest.part(shares.get(week), LIGHT)))));
        }
        strands.addAll(request.assistance(0, "3x8-12 @8", "2x10-15 @8"));
        return strands;
    }
}
