package dev.yarbel.core.school;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * A strongman event toward its announced load: technique light, then time or repetitions at 80 to 100 % of it; the last
 * full run some ten to fourteen days out, light after that. Presses and deadlifts that are lifted for a max are led by
 * rating.
 */
final class EventsSchool implements School.Generator {

    private static final int LAST_FULL_RUN = 10;

    private static final Set<Implement> CARRIED =
            Set.of(Implement.YOKE, Implement.HANDLES, Implement.FRAME, Implement.SANDBAG, Implement.KEG);

    @Override
    public List<Strand> draw(StrandRequest request) {
        List<Percent> shares = request.upTo(100);
        List<Strand> strands = new ArrayList<>();
        boolean forMax = request.isPress() || request.isPull() || request.root().equals(Lift.SQUAT);
        for (int session = 0; session < request.sessions(); session++) {
            strands.add(new Strand(
                    session,
                    Strand.MAIN,
                    request.lift(),
                    Purpose.EVENT,
                    request.each(week -> forMax
                            ? StrandRequest.dose("1 @%s then 4x3 -16%%", request.through(week) < 0.5 ? "7" : "8")
                            : event(request, week, shares.get(week)))));
        }
        return strands;
    }

    private static Dose event(StrandRequest request, int week, Percent share) {
        boolean carried =
                CARRIED.contains(request.block().catalogue().of(request.lift()).implement())
                        && !request.lift().key().endsWith("platform");
        boolean after = request.daysToContest()
                .filter(out -> out.get(week) < LAST_FULL_RUN)
                .isPresent();
        if (after) {
            return StrandRequest.dose(carried ? "2x10m 60%% event" : "2x2 60%% event");
        }
        if (!carried) {
            return StrandRequest.dose(request.through(week) < 0.5 ? "4x2 %s%% event" : "3x3 %s%% event", share);
        }
        return request.through(week) < 0.5
                ? StrandRequest.dose("4x10m %s%% event rest 180", share)
                : StrandRequest.dose("3x20m in 60s %s%% event rest 240", share);
    }
}
