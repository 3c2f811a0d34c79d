package dev.yarbel.core.school;

import java.util.ArrayList;
import java.util.List;

/**
 * RPE-led: a top single whose rating rises from 7 to 8.5 through the block, and back-offs a percentage below what was
 * lifted, with a little less volume as it gets heavier; a second day at 7.
 */
final class RpeLedSchool implements School.Method {

    private static final String[] RATINGS = {"7", "7.5", "8", "8", "8.5"};
    private static final String[] BACK_OFFS = {"5x5 -24", "5x5 -22", "4x5 -20", "4x4 -18", "3x4 -16"};

    @Override
    public List<LiftProgression> draw(ProgressionRequest request) {
        List<LiftProgression> strands = new ArrayList<>();
        strands.add(new LiftProgression(
                0, LiftProgression.MAIN, request.lift(), Purpose.CONTEST_LIFT, request.each(week -> {
                    int at = (int) Math.round(request.through(week) * (RATINGS.length - 1));
                    return ProgressionRequest.dose("1 @%s then %s%%", RATINGS[at], BACK_OFFS[at]);
                })));
        for (int session = 1; session < request.sessions(); session++) {
            strands.add(new LiftProgression(
                    session,
                    LiftProgression.SECOND,
                    session % 2 == 1 ? request.variations().get(0) : request.lift(),
                    Purpose.ROTATION,
                    request.each(week -> ProgressionRequest.dose("3x5 @7"))));
        }
        strands.addAll(request.assistance(0, "3x8-12 @8", "2x10-15 @8"));
        return strands;
    }
}
