package dev.yarbel.core.school;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Specialisation on one lift, for at most eight weeks: for a pull, three heights in one session, overloading from the top
 * down, and density singles on the other day; for any other lift, clusters on one day and density singles on the other. The
 * density load stays until the whole goal is made.
 */
final class SpecialisationSchool implements School.Method {

    private static final Percent TOP_FROM = Percent.of(105);
    private static final Percent TOP_TO = Percent.of(110);
    private static final Percent LOW_FROM = Percent.of(78);
    private static final Percent LOW_TO = Percent.of(86);

    /** It takes all there is of one lift. */
    @Override
    public Optional<SchoolRefused.Why> refuses(School school, Lift lift, BlockRequest request) {
        return request.lifts().values().stream()
                                .filter(other -> other.school() == school)
                                .count()
                        > 1
                ? Optional.of(SchoolRefused.Why.ONE_LIFT)
                : Optional.empty();
    }

    @Override
    public int fewerPulls() {
        return 0;
    }

    @Override
    public List<LiftProgression> draw(ProgressionRequest request) {
        List<LiftProgression> strands = new ArrayList<>();
        if (request.isPull()) {
            strands.addAll(threeHeights(request));
        } else {
            strands.add(new LiftProgression(
                    0,
                    LiftProgression.MAIN,
                    request.lift(),
                    Purpose.CONTEST_LIFT,
                    request.each(week -> ProgressionRequest.dose(
                            "%sx(%sx1 20s) 3rm rest 180",
                            request.through(week) < 0.34 ? 2 : 3, request.through(week) < 0.67 ? 4 : 5))));
        }
        for (int session = 1; session < request.sessions(); session++) {
            strands.add(new LiftProgression(
                    session,
                    LiftProgression.MAIN,
                    request.lift(),
                    Purpose.CONTEST_LIFT,
                    request.each(week -> week < 2
                            ? ProgressionRequest.dose("10x1 in 10min gap 30 %s%%", week == 0 ? 85 : 90)
                            : ProgressionRequest.dose("10x1 in 10min gap 30 last %s", request.step()))));
        }
        strands.addAll(request.assistance(Math.min(1, request.sessions() - 1), "3x8-12 @8", "2x10-15 @8"));
        return strands;
    }

    /** From above the knee it starts at 105 % of the full pull and rises; the lower heights hang on their own maxes. */
    private static List<LiftProgression> threeHeights(ProgressionRequest request) {
        List<Percent> top = request.upTo(TOP_FROM, TOP_TO);
        List<Percent> low = request.upTo(LOW_FROM, LOW_TO);
        List<LiftProgression> strands = new ArrayList<>();
        request.firstAvailable("above-knee-pull")
                .ifPresent(height -> strands.add(new LiftProgression(
                        0,
                        LiftProgression.MAIN,
                        height,
                        Purpose.THREE_HEIGHTS,
                        request.each(
                                week -> ProgressionRequest.dose("3x3 %s%% of deadlift rest 180", top.get(week))))));
        for (String lower : List.of("mid-shin-pull", "deficit-deadlift")) {
            request.firstAvailable(lower)
                    .ifPresent(height -> strands.add(new LiftProgression(
                            0,
                            LiftProgression.SECOND,
                            height,
                            Purpose.THREE_HEIGHTS,
                            request.each(week -> ProgressionRequest.dose("3x3 %s%% rest 180", low.get(week))))));
        }
        return strands;
    }
}
