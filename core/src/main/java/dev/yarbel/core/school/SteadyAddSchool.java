package dev.yarbel.core.school;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Steady add: fives, a step more each session, the last set as far as form holds; a pull once for two sets; presses that
 * share the school alternate from session to session. What follows missed repetitions says
 * {@link dev.yarbel.core.progress.SteadyAdd}.
 */
final class SteadyAddSchool implements School.Method {

    private static final int PULL_SETS = 2;

    @Override
    public boolean pressesTakeTurns() {
        return true;
    }

    @Override
    public boolean goesToTheLimit() {
        return true;
    }

    @Override
    public List<LiftProgression> draw(ProgressionRequest request) {
        List<LiftProgression> strands = new ArrayList<>();
        boolean alternating = request.isPress() && request.of() > 1;
        int sets = request.isPull() ? PULL_SETS : 5;
        for (int s = 0; s < request.sessions(); s++) {
            int session = s;
            strands.add(new LiftProgression(
                    session, LiftProgression.MAIN, request.lift(), Purpose.CONTEST_LIFT, request.some(week -> {
                        int turn = week * request.sessions() + session;
                        if (alternating && turn % request.of() != request.place()) {
                            return Optional.empty();
                        }
                        boolean first = turn < (alternating ? request.of() : 1);
                        return Optional.of(
                                first
                                        ? ProgressionRequest.dose("%sx5+ %s%%", sets, request.start())
                                        : ProgressionRequest.dose("%sx5+ last %s", sets, request.step()));
                    })));
        }
        // little beside it: the fives are the work
        strands.addAll(request.assistance(0, List.of(request.some(week -> {
            int turn = week * request.sessions();
            return alternating && turn % request.of() != request.place()
                    ? Optional.empty()
                    : Optional.of(ProgressionRequest.dose("2x8-12 @7"));
        }))));
        return strands;
    }
}
