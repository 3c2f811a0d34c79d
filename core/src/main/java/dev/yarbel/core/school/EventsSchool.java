package dev.yarbel.core.school;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Strongman events toward their announced loads: light and technical first, then for time or repetitions, the whole load in the
 * last full run, ten to fourteen days before the contest; after it light touches only.
 */
final class EventsSchool implements School.Method {

    private static final Set<Implement> CARRIED =
            Set.of(Implement.YOKE, Implement.HANDLES, Implement.FRAME, Implement.SANDBAG, Implement.KEG);

    /** Whether the event is trained toward an announced load; what is done for a max needs none. */
    private static boolean needsLoad(Lift lift, BlockRequest request) {
        Lift root = request.catalogue().root(lift);
        return !Set.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.OVERHEAD_PRESS, Lift.DEADLIFT)
                .contains(root);
    }

    @Override
    public Optional<SchoolRefused.Why> refuses(School school, Lift lift, BlockRequest request) {
        return needsLoad(lift, request)
                        && request.numbers().apply(lift).references().event().isEmpty()
                ? Optional.of(SchoolRefused.Why.EVENT_LOAD)
                : Optional.empty();
    }

    @Override
    public List<LiftProgression> draw(ProgressionRequest request) {
        List<Percent> shares = request.upTo(100);
        List<LiftProgression> strands = new ArrayList<>();
        boolean forMax = !needsLoad(request.lift(), request.block());
        for (int session = 0; session < request.sessions(); session++) {
            strands.add(new LiftProgression(
                    session,
                    LiftProgression.MAIN,
                    request.lift(),
                    Purpose.EVENT,
                    request.each(week -> forMax
                            ? ProgressionRequest.dose("1 @%s then 4x3 -16%%", request.through(week) < 0.5 ? "7" : "8")
                            : event(request, week, shares.get(week)))));
        }
        strands.addAll(request.assistance(0, "3x8-12 @8", "2x10-15 @8"));
        return strands;
    }

    private static Dose event(ProgressionRequest request, int week, Percent share) {
        boolean carried =
                CARRIED.contains(request.block().catalogue().of(request.lift()).implement())
                        && !request.lift().key().endsWith("platform");
        if (!carried) {
            return ProgressionRequest.dose(request.through(week) < 0.5 ? "4x2 %s%% event" : "3x3 %s%% event", share);
        }
        return request.through(week) < 0.5
                ? ProgressionRequest.dose("4x10m %s%% event rest 180", share)
                : ProgressionRequest.dose("3x20m in 60s %s%% event rest 240", share);
    }
}
