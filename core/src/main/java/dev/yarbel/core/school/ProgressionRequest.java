package dev.yarbel.core.school;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.progress.ShrinkingSteps;
import dev.yarbel.core.session.Demand;
import dev.yarbel.core.session.LiftNumbers;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;

/**
 * What a school needs to know to draw one lift over a stretch of training weeks, deloads not counted.
 *
 * @param weeks training weeks
 * @param peak the training week of the last heavy session, from 0: the last week, or the last one outside of what the days
 *     before a contest leave of heavy work
 * @param sessions of this lift in the week
 * @param place which of the lifts that share its school and its half of the body it is, from 0
 * @param of how many those are
 * @param daysToContest days from the first session of each training week to the contest; empty where there is none
 * @param weakPoint what its assistance should answer first
 * @param mostAssistance the most exercises beside a session; empty: as the school has it
 * @param anew whether it follows a contest, and begins where the school begins however short it is
 */
record ProgressionRequest(
        Lift lift,
        int weeks,
        int peak,
        int sessions,
        Percent start,
        int place,
        int of,
        Optional<List<Integer>> daysToContest,
        Optional<WeakPoint> weakPoint,
        Optional<Integer> mostAssistance,
        boolean anew,
        BlockRequest block) {

    /** The step in shorthand: {@code +2.5kg}. */
    String step() {
        return "+" + block.step().figure(block.unit(), 2) + block.unit().symbol();
    }

    /** A share of a share, to half a point. */
    static Percent part(Percent share, long of) {
        return Percent.of(share.times(Percent.of(of))
                .figure()
                .multiply(BigDecimal.valueOf(2))
                .setScale(0, RoundingMode.HALF_UP)
                .divide(BigDecimal.valueOf(2)));
    }

    /** How far on the way to the last heavy week a week is, 0 to 1. */
    double through(int week) {
        return peak == 0 ? 1 : Math.min(1, (double) week / peak);
    }

    /** Shares from the start to a share in steps that shrink, reached in the last heavy week. */
    List<Percent> upTo(long percent) {
        return upTo(start, Percent.of(percent));
    }

    /** The same from another start. */
    List<Percent> upTo(Percent from, Percent goal) {
        Percent to = goal.isLessThan(from) ? from : goal;
        Percent furthest = from.plus(ShrinkingSteps.longest(peak + 1, 0));
        List<Percent> shares = new ArrayList<>(
                ShrinkingSteps.reaching(from, anew && furthest.isLessThan(to) ? furthest : to, peak + 1));
        while (shares.size() < weeks) {
            shares.add(shares.get(shares.size() - 1));
        }
        return shares;
    }

    /**
     * The repetitions for so many sets at a share of the working max so that the last set rates no harder than this, by the
     * lifter's curve.
     */
    int reps(Percent share, int sets, String hardest, int least, int most) {
        LiftNumbers numbers = block.numbers().apply(lift);
        Percent ofMax = numbers.workingMax()
                .filter(max -> numbers.estimate().isPresent())
                .map(max -> max.times(share).percentOf(numbers.estimate().orElseThrow()))
                .orElse(share);
        Rpe rpe = Rpe.parse(hardest);
        for (int reps = most; reps > least; reps--) {
            Part part = Part.of(Work.Straight.of(sets, reps), LoadBasis.ofWorkingMax(share));
            if (!numbers.curve()
                    .share(Demand.of(part, numbers).inAll(part, rpe))
                    .isLessThan(ofMax)) {
                return reps;
            }
        }
        return least;
    }

    /** Whether a pull from the floor, which takes longest to recover from. */
    boolean isPull() {
        return lift.equals(Lift.DEADLIFT) || root().equals(Lift.DEADLIFT);
    }

    boolean isPress() {
        return root().equals(Lift.BENCH_PRESS) || root().equals(Lift.OVERHEAD_PRESS);
    }

    Lift root() {
        return block.catalogue().root(lift);
    }

    /** The doses of every training week. */
    List<Optional<Dose>> each(IntFunction<Dose> dose) {
        return some(week -> Optional.of(dose.apply(week)));
    }

    /** The doses of the training weeks that have one. */
    List<Optional<Dose>> some(IntFunction<Optional<Dose>> dose) {
        List<Optional<Dose>> doses = new ArrayList<>();
        for (int week = 0; week < weeks; week++) {
            doses.add(dose.apply(week));
        }
        return doses;
    }

    /** A dose from shorthand with its figures filled in. */
    static Dose dose(String shorthand, Object... figures) {
        Object[] texts = new Object[figures.length];
        for (int i = 0; i < figures.length; i++) {
            texts[i] = figures[i] instanceof Percent percent ? percent.format(1) : figures[i].toString();
        }
        return Dose.parse(String.format(Locale.ROOT, shorthand, texts));
    }

    /** The first of these the gym has what is needed for. */
    Optional<Lift> firstAvailable(String... keys) {
        for (String key : keys) {
            Lift candidate = new Lift(key);
            if (block.has(candidate)) {
                return Optional.of(candidate);
            }
        }
        return Optional.empty();
    }

    /** The variations of this lift that the gym has what is needed for, in the order given, else the lift itself. */
    List<Lift> variations() {
        List<Lift> known = VARIATIONS.getOrDefault(root(), List.of()).stream()
                .map(Lift::new)
                .filter(variation -> block.has(variation) && !variation.equals(lift))
                .toList();
        return known.isEmpty() ? List.of(lift) : known;
    }

    private static final Map<Lift, List<String>> VARIATIONS = Map.of(
            Lift.DEADLIFT,
            List.of(
                    "deficit-deadlift",
                    "paused-deadlift",
                    "mid-shin-pull",
                    "snatch-grip-deadlift",
                    "trap-bar-deadlift"),
            Lift.BENCH_PRESS,
            List.of(
                    "close-grip-bench-press",
                    "paused-bench-press",
                    "incline-press",
                    "floor-press",
                    "multi-grip-bench-press",
                    "board-press"),
            Lift.OVERHEAD_PRESS,
            List.of("push-press", "seated-press", "log-press", "axle-press"),
            Lift.SQUAT,
            List.of(
                    "paused-squat",
                    "front-squat",
                    "high-bar-squat",
                    "box-squat",
                    "safety-bar-squat",
                    "cambered-bar-squat"));

    /**
     * Assistance for the lift, by its weak point and then as is usual.
     *
     * @param doses of each exercise that is wanted, in order
     */
    List<LiftProgression> assistance(int session, List<List<Optional<Dose>>> doses) {
        List<Assistance.Choice> choices = Assistance.of(
                root(),
                weakPoint,
                candidate -> block.has(candidate)
                        && !candidate.equals(lift)
                        && !block.lifts().containsKey(candidate),
                Math.min(doses.size(), mostAssistance.orElse(doses.size())));
        List<LiftProgression> strands = new ArrayList<>();
        for (int i = 0; i < choices.size(); i++) {
            strands.add(new LiftProgression(
                    session,
                    LiftProgression.ASSISTANCE,
                    choices.get(i).lift(),
                    choices.get(i).purpose(),
                    doses.get(i)));
        }
        return strands;
    }

    /** Two exercises beside a session, in every week alike. */
    List<LiftProgression> assistance(int session, String first, String second) {
        return assistance(session, List.of(each(week -> dose(first)), each(week -> dose(second))));
    }
}
