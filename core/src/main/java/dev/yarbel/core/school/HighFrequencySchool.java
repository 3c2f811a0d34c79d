package dev.yarbel.core.school;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * High frequency with few lifts: three to five hard sets a session at 60 to 80 %, the lift itself and rotating variations
 * in turn; in the last three weeks before a contest the frequency comes down and back-offs come in.
 */
final class HighFrequencySchool implements School.Generator {

    private static final int NEAR = 21;
    private static final String[] DOSES = {"4x4", "3x5", "5x3", "4x5", "3x4"};
    private static final int[] POINTS = {5, 0, 8, -3, 2};
    private static final Percent MOST = Percent.of(80);

    @Override
    public List<Strand> draw(StrandRequest request) {
        List<Percent> shares = request.upTo(72);
        List<Lift> variations = request.variations();
        List<Strand> strands = new ArrayList<>();
        for (int s = 0; s < request.sessions(); s++) {
            int session = s;
            boolean itself = session % 2 == 0;
            strands.add(new Strand(
                    session,
                    itself ? Strand.MAIN : Strand.SECOND,
                    itself ? request.lift() : variations.get(session / 2 % variations.size()),
                    itself ? Purpose.CONTEST_LIFT : Purpose.ROTATION,
                    request.some(week ->
                            near(request, week) ? nearContest(session) : Optional.of(far(session, shares.get(week))))));
        }
        return strands;
    }

    private static boolean near(StrandRequest request, int week) {
        return request.daysToContest().filter(out -> out.get(week) < NEAR).isPresent();
    }

    private static Dose far(int session, Percent share) {
        int at = session % DOSES.length;
        Percent percent = share.plus(Percent.of(POINTS[at]));
        return StrandRequest.dose(DOSES[at] + " %s%%", percent.isGreaterThan(MOST) ? MOST : percent);
    }

    private static Optional<Dose> nearContest(int session) {
        return session == 0
                ? Optional.of(StrandRequest.dose("1 @8 then 3x3 -15%%"))
                : session == 2 ? Optional.of(StrandRequest.dose("3x2 75%%")) : Optional.empty();
    }
}
