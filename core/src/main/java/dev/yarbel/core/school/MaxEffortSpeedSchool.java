package dev.yarbel.core.school;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Rotating max-effort and speed days: on the heavy day a different variation each week is worked up to the day's best
 * single, then volume at 80 % of it; on the other day sets of speed in waves of three weeks. Lifts of the same half of the
 * body take turns on the heavy day.
 */
final class MaxEffortSpeedSchool implements School.Generator {

    private static final int WAVE = 3;
    private static final int VARIATIONS = 2;

    @Override
    public List<Strand> draw(StrandRequest request) {
        List<Strand> strands = new ArrayList<>();
        List<Lift> turns =
                new ArrayList<>(request.variations().stream().limit(VARIATIONS).toList());
        turns.add(request.lift());
        for (int i = 0; i < turns.size(); i++) {
            int turn = i;
            List<Optional<Dose>> doses = request.some(week -> {
                boolean ours = week % request.of() == request.place();
                boolean thisOne = week / request.of() % turns.size() == turn;
                return ours && thisOne
                        ? Optional.of(StrandRequest.dose("climb 1 to @9 then 3x5 80%% top"))
                        : Optional.empty();
            });
            if (doses.stream().anyMatch(Optional::isPresent)) {
                strands.add(new Strand(0, Strand.MAIN, turns.get(turn), Purpose.MAX_EFFORT, doses));
            }
        }
        if (request.sessions() > 1) {
            String sets = request.isPull() ? "8x1" : request.isPress() ? "8x3" : "8x2";
            strands.add(new Strand(
                    1,
                    Strand.MAIN,
                    request.lift(),
                    Purpose.SPEED,
                    request.each(week -> StrandRequest.dose(
                            sets + " %s%% speed rest 30",
                            request.start().plus(Percent.of("2.5").times(Percent.of(100L * (week % WAVE))))))));
        }
        strands.addAll(request.assistance(
                0,
                request.each(week -> StrandRequest.dose("4x8-12 @8")),
                request.each(week -> StrandRequest.dose("3x10-15 @8"))));
        return strands;
    }
}
