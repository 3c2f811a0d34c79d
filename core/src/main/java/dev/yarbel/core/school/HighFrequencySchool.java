package dev.yarbel.core.school;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * High frequency, few exercises: three to five sessions a week at 60 to 80 % whose last sets rate 7 to 9, variations on every other
 * day to move the strain about. In the last three weeks before a contest the frequency comes down, and a top single with
 * back-offs comes in.
 */
final class HighFrequencySchool implements School.Method {

    private static final int NEAR = 21;
    private static final int[] SETS = {4, 3, 5, 4, 3};
    private static final int[] POINTS = {1, -2, 1, -4, 0};
    private static final int LEAST_REPS = 3;
    private static final int MOST_REPS = 8;

    /** Pulls are done for fewer repetitions with a little more. */
    private static final int MOST_REPS_OF_A_PULL = 5;

    private static final int POINTS_OF_A_PULL = 3;
    private static final Percent LEAST = Percent.of(66);
    private static final Percent MOST = Percent.of(80);

    /** Daily practice is more than a pull bears. */
    @Override
    public int fewerPulls() {
        return 2;
    }

    @Override
    public List<LiftProgression> draw(ProgressionRequest request) {
        List<Percent> shares = request.upTo(79);
        List<Lift> variations = request.variations();
        List<LiftProgression> strands = new ArrayList<>();
        for (int s = 0; s < request.sessions(); s++) {
            int session = s;
            boolean itself = session % 2 == 0;
            strands.add(new LiftProgression(
                    session,
                    itself ? LiftProgression.MAIN : LiftProgression.SECOND,
                    itself ? request.lift() : variations.get(session / 2 % variations.size()),
                    itself ? Purpose.CONTEST_LIFT : Purpose.ROTATION,
                    doses(request, session, shares)));
        }
        strands.addAll(request.assistance(0, List.of(request.each(week -> ProgressionRequest.dose("2x8-12 @7")))));
        return strands;
    }

    /** Repetitions come down as the load goes up, and never go up again. */
    private static List<Optional<Dose>> doses(ProgressionRequest request, int session, List<Percent> shares) {
        List<Optional<Dose>> doses = new ArrayList<>();
        int reps = request.isPull() ? MOST_REPS_OF_A_PULL : MOST_REPS;
        for (int week = 0; week < request.weeks(); week++) {
            if (near(request, week)) {
                doses.add(nearContest(session));
            } else {
                int sets = SETS[session % SETS.length];
                Percent percent = moved(request, session, shares.get(week));
                reps = request.reps(percent, sets, hardest(request.through(week)), LEAST_REPS, reps);
                doses.add(Optional.of(ProgressionRequest.dose("%sx%s %s%%", sets, reps, percent)));
            }
        }
        return doses;
    }

    private static boolean near(ProgressionRequest request, int week) {
        return request.daysToContest().filter(out -> out.get(week) < NEAR).isPresent();
    }

    private static Percent moved(ProgressionRequest request, int session, Percent share) {
        int points = POINTS[session % POINTS.length] + (request.isPull() ? POINTS_OF_A_PULL : 0);
        Percent moved = share.plus(Percent.of(points));
        return moved.isGreaterThan(MOST) ? MOST : moved.isLessThan(LEAST) ? LEAST : moved;
    }

    private static String hardest(double through) {
        return through < 0.34 ? "8" : through < 0.67 ? "8.5" : "9";
    }

    private static Optional<Dose> nearContest(int session) {
        return session == 0
                ? Optional.of(ProgressionRequest.dose("1 @8 then 3x3 -15%%"))
                : session == 2 ? Optional.of(ProgressionRequest.dose("3x3 75%%")) : Optional.empty();
    }
}
