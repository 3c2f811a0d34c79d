package dev.yarbel.core.school;

import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Goal cycle for one lift: one top set a week in percent of the goal max, leading to it in shrinking steps; speed sets
 * that grow fewer, assistance that fades. There is no give in it: for the young who are unused to volume and do not diet.
 */
final class GoalCycleSchool implements School.Generator {

    private static final int SPEED_SETS = 8;

    @Override
    public List<Strand> draw(StrandRequest request) {
        List<Percent> shares = request.upTo(100);
        List<Strand> strands = new ArrayList<>();
        strands.add(new Strand(
                0,
                Strand.MAIN,
                request.lift(),
                Purpose.CONTEST_LIFT,
                request.each(
                        week -> StrandRequest.dose("1x%s %s%% goal", reps(request.through(week)), shares.get(week)))));
        strands.add(new Strand(0, Strand.SECOND, request.lift(), Purpose.SPEED, request.some(week -> {
            int sets = (int) Math.round(SPEED_SETS * (1 - request.through(week)));
            return sets < 2 ? Optional.empty() : Optional.of(speed(request, sets, shares.get(week)));
        })));
        strands.addAll(request.assistance(
                0,
                request.some(week -> fading(request.through(week), 0.9)),
                request.some(week -> fading(request.through(week), 0.6))));
        return strands;
    }

    private static int reps(double through) {
        return through < 0.3 ? 3 : through < 0.6 ? 2 : 1;
    }

    private static Dose speed(StrandRequest request, int sets, Percent top) {
        return StrandRequest.dose(
                "%sx%s %s%% goal speed rest 90", sets, request.isPull() ? 2 : 3, StrandRequest.part(top, 75));
    }

    private static Optional<Dose> fading(double through, double gone) {
        return through >= gone
                ? Optional.empty()
                : Optional.of(StrandRequest.dose(through < gone / 2 ? "3x8 @8" : "2x8 @8"));
    }
}
