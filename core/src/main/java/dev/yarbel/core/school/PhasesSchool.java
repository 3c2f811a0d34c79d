package dev.yarbel.core.school;

import dev.yarbel.core.block.Phase;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.progress.ShrinkingSteps;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Phase blocks: build muscle, build strength, peak, each with its own range of repetitions and load. */
final class PhasesSchool implements School.Generator {

    private static final double MUSCLE = 0.4;
    private static final double STRENGTH = 0.75;
    private static final Percent STRENGTH_FROM = Percent.of(77);
    private static final Percent MUSCLE_TO = Percent.of(74);
    private static final Percent PEAK_TO = Percent.of(94);

    /** What a week is for, by how many of the training weeks lie before it. */
    static Phase phase(int week, int weeks) {
        double through = (week + 0.5) / weeks;
        return through < MUSCLE ? Phase.MUSCLE : through < STRENGTH ? Phase.STRENGTH : Phase.PEAK;
    }

    @Override
    public List<Strand> draw(StrandRequest request) {
        List<Percent> shares = shares(request);
        List<Strand> strands = new ArrayList<>();
        for (int s = 0; s < request.sessions(); s++) {
            int session = s;
            strands.add(new Strand(
                    session,
                    session == 0 ? Strand.MAIN : Strand.SECOND,
                    request.lift(),
                    session == 0 ? Purpose.CONTEST_LIFT : Purpose.LIGHT_DAY,
                    request.each(week -> main(phase(week, request.weeks()), shares.get(week), session))));
        }
        strands.addAll(request.assistance(
                0,
                request.some(week -> assistance(week, request, 3)),
                request.some(week -> assistance(week, request, 2))));
        return strands;
    }

    /** Muscle leads to 74 %; from there strength and peak lead to 94 % in one row of shrinking steps. */
    private static List<Percent> shares(StrandRequest request) {
        int muscle = 0;
        while (muscle < request.weeks() && phase(muscle, request.weeks()) == Phase.MUSCLE) {
            muscle++;
        }
        List<Percent> shares = new ArrayList<>();
        if (muscle > 0) {
            Percent to = request.start().isGreaterThan(MUSCLE_TO) ? request.start() : MUSCLE_TO;
            shares.addAll(ShrinkingSteps.reaching(request.start(), to, muscle));
        }
        if (muscle < request.weeks()) {
            shares.addAll(ShrinkingSteps.reaching(STRENGTH_FROM, PEAK_TO, request.weeks() - muscle));
        }
        return shares;
    }

    private static Dose main(Phase phase, Percent share, int session) {
        Percent lighter = StrandRequest.part(share, 88);
        return switch (phase) {
            case MUSCLE -> StrandRequest.dose("4x8 %s%%", session == 0 ? share : lighter);
            case STRENGTH ->
                session == 0
                        ? StrandRequest.dose("4x%s %s%%", reps(share), share)
                        : StrandRequest.dose("4x5 %s%%", lighter);
            default -> session == 0 ? StrandRequest.dose("3x1 %s%%", share) : StrandRequest.dose("2x2 %s%%", lighter);
        };
    }

    /** Fives, then fours, threes and twos as the load rises. */
    private static int reps(Percent share) {
        double figure = share.figure().doubleValue();
        return figure < 80 ? 5 : figure < 85 ? 4 : figure < 89 ? 3 : 2;
    }

    private static Optional<Dose> assistance(int week, StrandRequest request, int sets) {
        return switch (phase(week, request.weeks())) {
            case MUSCLE -> Optional.of(StrandRequest.dose("%sx10-15 @8", sets));
            case STRENGTH -> Optional.of(StrandRequest.dose("%sx6-8 @8", sets));
            default -> Optional.empty();
        };
    }
}
