package dev.yarbel.core.school;

import dev.yarbel.core.block.Phase;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.progress.ShrinkingSteps;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Muscle, then strength, then a peak, each with its own range; the lighter day follows the phase. Without a contest there is
 * no peak: strength goes on to the end.
 */
final class PhasesSchool implements School.Method {

    private static final double MUSCLE = 0.4;
    private static final double STRENGTH = 0.75;
    private static final Percent STRENGTH_FROM = Percent.of(77);
    private static final Percent MUSCLE_TO = Percent.of(74);
    private static final Percent STRENGTH_TO = Percent.of(90);
    private static final Percent PEAK_TO = Percent.of(94);

    /** What a week is for, by how many of the training weeks lie before it. */
    private static Phase phaseOf(int week, int weeks, boolean toContest) {
        double through = (week + 0.5) / weeks;
        if (through < MUSCLE) {
            return Phase.MUSCLE;
        }
        return through < STRENGTH || !toContest ? Phase.STRENGTH : Phase.PEAK;
    }

    @Override
    public Optional<Phase> phase(int week, int weeks, boolean toContest) {
        return Optional.of(phaseOf(week, weeks, toContest));
    }

    private static Phase phase(int week, ProgressionRequest request) {
        return phaseOf(week, request.weeks(), request.daysToContest().isPresent());
    }

    @Override
    public List<LiftProgression> draw(ProgressionRequest request) {
        List<Percent> shares = shares(request);
        List<LiftProgression> strands = new ArrayList<>();
        for (int s = 0; s < request.sessions(); s++) {
            int session = s;
            strands.add(new LiftProgression(
                    session,
                    session == 0 ? LiftProgression.MAIN : LiftProgression.SECOND,
                    request.lift(),
                    session == 0 ? Purpose.CONTEST_LIFT : Purpose.LIGHT_DAY,
                    request.each(week -> main(request, week, shares.get(week), session))));
        }
        strands.addAll(request.assistance(
                0,
                List.of(
                        request.some(week -> assistance(phase(week, request), 3)),
                        request.some(week -> assistance(phase(week, request), 2)))));
        return strands;
    }

    /**
     * Muscle leads to 74 %; from there strength and peak lead on in one row of shrinking steps, as far as those lead where the
     * block is short.
     */
    private static List<Percent> shares(ProgressionRequest request) {
        int muscle = 0;
        while (muscle < request.weeks() && phase(muscle, request) == Phase.MUSCLE) {
            muscle++;
        }
        List<Percent> shares = new ArrayList<>();
        if (muscle > 0) {
            shares.addAll(upTo(request.start(), MUSCLE_TO, muscle));
        }
        Percent goal = request.daysToContest().isPresent() ? PEAK_TO : STRENGTH_TO;
        int heavy = request.peak() + 1 - muscle;
        if (heavy > 0) {
            Percent from =
                    shares.isEmpty() ? STRENGTH_FROM : shares.get(muscle - 1).plus(ShrinkingSteps.LARGEST_STEP);
            shares.addAll(upTo(from.isLessThan(STRENGTH_FROM) ? from : STRENGTH_FROM, goal, heavy));
        }
        while (shares.size() < request.weeks()) {
            shares.add(shares.isEmpty() ? request.start() : shares.get(shares.size() - 1));
        }
        return shares;
    }

    private static List<Percent> upTo(Percent from, Percent goal, int weeks) {
        Percent to = goal.isLessThan(from) ? from : goal;
        Percent furthest = from.plus(ShrinkingSteps.longest(weeks, 0));
        return ShrinkingSteps.reaching(from, furthest.isLessThan(to) ? furthest : to, weeks);
    }

    private static Dose main(ProgressionRequest request, int week, Percent share, int session) {
        Percent lighter = ProgressionRequest.part(share, 88);
        return switch (phase(week, request)) {
            case MUSCLE ->
                ProgressionRequest.dose(
                        "4x%s %s%%",
                        request.reps(session == 0 ? share : lighter, 4, "8", 5, session == 0 ? 10 : 8),
                        session == 0 ? share : lighter);
            case STRENGTH ->
                session == 0
                        ? ProgressionRequest.dose("4x%s %s%%", request.reps(share, 4, "8.5", 2, 6), share)
                        : ProgressionRequest.dose("4x%s %s%%", request.reps(lighter, 4, "8", 3, 5), lighter);
            default ->
                session == 0
                        ? ProgressionRequest.dose("3x1 %s%%", share)
                        : ProgressionRequest.dose("2x2 %s%%", lighter);
        };
    }

    private static Optional<Dose> assistance(Phase phase, int sets) {
        return switch (phase) {
            case MUSCLE -> Optional.of(ProgressionRequest.dose("%sx10-15 @8", sets));
            case STRENGTH -> Optional.of(ProgressionRequest.dose("%sx6-8 @8", sets));
            default -> Optional.empty();
        };
    }
}
