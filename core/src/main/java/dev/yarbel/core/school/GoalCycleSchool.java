package dev.yarbel.core.school;

import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One lift toward a goal max: one top set a week, speed triples at 60 to 75 % whose rests lengthen, and assistance that swings
 * from four exercises in a circuit to straight sets to none; the last heavy day is the test. Percentages hang on the goal.
 */
final class GoalCycleSchool implements School.Method {

    private static final int SPEED_SETS = 8;
    private static final Percent SPEED_FROM = Percent.of(60);
    private static final Percent SPEED_TO = Percent.of(75);
    private static final double CIRCUIT = 0.4;
    /** When each of the four exercises falls away. */
    private static final double[] GONE = {0.95, 0.75, 0.6, 0.45};

    @Override
    public boolean drivesToAGoal() {
        return true;
    }

    @Override
    public List<LiftProgression> draw(ProgressionRequest request) {
        // before a contest the contest itself is the test
        List<Percent> shares = request.upTo(request.daysToContest().isPresent() ? 96 : 100);
        List<Percent> speed = request.upTo(SPEED_FROM, SPEED_TO);
        List<LiftProgression> strands = new ArrayList<>();
        strands.add(new LiftProgression(
                0,
                LiftProgression.MAIN,
                request.lift(),
                Purpose.CONTEST_LIFT,
                request.each(week ->
                        ProgressionRequest.dose("1x%s %s%% goal", reps(request.through(week)), shares.get(week)))));
        strands.add(new LiftProgression(0, LiftProgression.SECOND, request.lift(), Purpose.SPEED, request.some(week -> {
            int sets = (int) Math.round(SPEED_SETS * (1 - request.through(week)));
            return sets < 2
                    ? Optional.empty()
                    : Optional.of(ProgressionRequest.dose(
                            "%sx3 %s%% goal speed rest %s", sets, speed.get(week), rest(request.through(week))));
        })));
        List<List<Optional<Dose>>> assistance = new ArrayList<>();
        for (double gone : GONE) {
            assistance.add(request.some(week -> fading(request.through(week), gone)));
        }
        strands.addAll(request.assistance(0, assistance));
        return strands;
    }

    private static int reps(double through) {
        return through < 0.3 ? 3 : through < 0.6 ? 2 : 1;
    }

    private static int rest(double through) {
        return through < CIRCUIT ? 90 : through < 0.7 ? 120 : 180;
    }

    /** In a circuit with short rests first, then each by itself, then none. */
    private static Optional<Dose> fading(double through, double gone) {
        if (through >= gone) {
            return Optional.empty();
        }
        return Optional.of(
                through < CIRCUIT
                        ? ProgressionRequest.dose("3x10 @8 rest 60")
                        : ProgressionRequest.dose("%sx8 @8 apart rest 120", through < 0.6 ? 3 : 2));
    }
}
