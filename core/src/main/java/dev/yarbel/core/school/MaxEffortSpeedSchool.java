package dev.yarbel.core.school;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.Part;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Rotating max effort and speed days: with each week's turn another set-up of the lift is worked up to the day's best single,
 * then volume at 80 % of it, the first set of a squat or press as far as form holds; on the other day speed sets in a wave of
 * three weeks. Lifts of the same half share the heavy day and take turns on it.
 *
 * <p>Set-ups are the variations that the gym has the bars for, and the lift with the gym's chains and bands; those whose turn
 * is longest ago come first. The last turn before a contest, or the block's end, is the lift itself.
 */
final class MaxEffortSpeedSchool implements School.Method {

    private static final int WAVE = 3;
    private static final int MOST_SET_UPS = 4;

    @Override
    public boolean sharesDays() {
        return true;
    }

    @Override
    public int fewerPulls() {
        return 0;
    }

    @Override
    public boolean goesToTheLimit() {
        return true;
    }

    @Override
    public List<LiftProgression> draw(ProgressionRequest request) {
        List<LiftProgression> strands = new ArrayList<>();
        List<Means.SetUp> turns = turns(request);
        Map<Lift, List<Optional<Dose>>> byLift = new LinkedHashMap<>();
        turns.forEach(setUp -> byLift.computeIfAbsent(
                setUp.lift(), lift -> new ArrayList<>(Collections.nCopies(request.weeks(), Optional.empty()))));
        for (int week = 0; week < request.weeks(); week++) {
            if (isOurs(request, week)) {
                boolean last = week + request.of() > request.peak();
                Means.SetUp setUp = last
                        ? new Means.SetUp(request.lift(), Optional.empty())
                        : turns.get(week / request.of() % turns.size());
                byLift.get(setUp.lift()).set(week, Optional.of(heavy(request, setUp)));
            }
        }
        byLift.forEach((lift, doses) -> {
            if (doses.stream().anyMatch(Optional::isPresent)) {
                strands.add(new LiftProgression(0, LiftProgression.MAIN, lift, Purpose.MAX_EFFORT, doses));
            }
        });
        strands.addAll(request.assistance(0, List.of(inTurn(request, "4x8-12 @8"), inTurn(request, "3x10-15 @8"))));
        if (request.sessions() > 1) {
            String sets = request.isPull() ? "8x1" : request.isPress() ? "8x3" : "8x2";
            strands.add(new LiftProgression(
                    1,
                    LiftProgression.MAIN,
                    request.lift(),
                    Purpose.SPEED,
                    request.each(week -> ProgressionRequest.dose(
                            sets + " %s%% speed rest 30",
                            request.start().plus(Percent.of("2.5").times(Percent.of(100L * (week % WAVE))))))));
            strands.addAll(request.assistance(1, "3x8-12 @8", "3x10-15 @8"));
        }
        return strands;
    }

    /** Beside the heavy day's turn of the lift only. */
    private static List<Optional<Dose>> inTurn(ProgressionRequest request, String dose) {
        return request.some(
                week -> isOurs(request, week) ? Optional.of(ProgressionRequest.dose(dose)) : Optional.empty());
    }

    private static boolean isOurs(ProgressionRequest request, int week) {
        return week % request.of() == request.place();
    }

    private static List<Means.SetUp> turns(ProgressionRequest request) {
        List<Means.SetUp> setUps = new ArrayList<>();
        request.variations().forEach(lift -> setUps.add(new Means.SetUp(lift, Optional.empty())));
        request.block()
                .means()
                .changing()
                .apply(request.lift())
                .forEach(changing -> setUps.add(new Means.SetUp(request.lift(), Optional.of(changing))));
        setUps.sort(Comparator.comparing(
                setUp -> request.block().means().lastTurn().apply(setUp).orElse(LocalDate.MIN)));
        List<Means.SetUp> turns = new ArrayList<>(setUps.subList(0, Math.min(MOST_SET_UPS, setUps.size())));
        turns.add(new Means.SetUp(request.lift(), Optional.empty()));
        return turns;
    }

    /** A pull is never worked to the limit of repetitions. */
    private static Dose heavy(ProgressionRequest request, Means.SetUp setUp) {
        Dose dose = ProgressionRequest.dose(
                request.isPull()
                        ? "climb 1 to @9 then 4x3 80%% top"
                        : "climb 1 to @9 then max 80%% top then 3x3 80%% top");
        return setUp.changing()
                .map(changing -> new Dose(dose.parts().stream()
                        .map(part -> new Part(part.work(), part.basis(), Optional.of(changing), part.details()))
                        .toList()))
                .orElse(dose);
    }
}
