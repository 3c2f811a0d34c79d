package dev.yarbel.core.school;

import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Volume to intensity: tens at lower loads swing to singles, in steps that shrink; assistance shrinks along, from three
 * sets of eight over fives to none.
 */
final class VolumeToIntensitySchool implements School.Method {

    private static final int[] REPS = {10, 8, 6, 4, 3, 2, 1, 1};
    private static final int[] SETS = {4, 4, 5, 4, 4, 3, 3, 2};

    @Override
    public List<LiftProgression> draw(ProgressionRequest request) {
        List<Percent> shares = request.upTo(93);
        List<LiftProgression> strands = new ArrayList<>();
        for (int s = 0; s < request.sessions(); s++) {
            int session = s;
            strands.add(new LiftProgression(
                    session,
                    session == 0 ? LiftProgression.MAIN : LiftProgression.SECOND,
                    request.lift(),
                    session == 0 ? Purpose.CONTEST_LIFT : Purpose.LIGHT_DAY,
                    request.each(week -> {
                        int at = (int) Math.round(request.through(week) * (REPS.length - 1));
                        return session == 0
                                ? ProgressionRequest.dose(
                                        "%sx%s %s%%",
                                        SETS[at],
                                        request.reps(shares.get(week), SETS[at], "9", 1, REPS[at]),
                                        shares.get(week))
                                : light(request, ProgressionRequest.part(shares.get(week), 85), REPS[at]);
                    })));
        }
        strands.addAll(request.assistance(
                0,
                List.of(
                        request.some(week -> fading(request.through(week), 0.9)),
                        request.some(week -> fading(request.through(week), 0.7)))));
        return strands;
    }

    private static Dose light(ProgressionRequest request, Percent share, int reps) {
        return ProgressionRequest.dose("3x%s %s%%", request.reps(share, 3, "8", 3, Math.max(3, reps)), share);
    }

    /** Three eights, then three fives, then two, then none. */
    private static Optional<Dose> fading(double through, double gone) {
        if (through >= gone) {
            return Optional.empty();
        }
        String dose = through < gone * 0.4 ? "3x8 @8" : through < gone * 0.75 ? "3x5 @8" : "2x5 @8";
        return Optional.of(ProgressionRequest.dose(dose));
    }
}
