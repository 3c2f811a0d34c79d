package dev.yarbel.core.school;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.progress.ShrinkingSteps;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.IntFunction;

/**
 * What a school needs to know to draw one lift.
 *
 * @param weeks training weeks, deloads not counted
 * @param sessions of this lift in the week
 * @param place which of the lifts that share its school and its half of the body it is, from 0
 * @param of how many those are
 * @param daysToContest days from the middle of each training week to the contest; empty where there is none
 */
record StrandRequest(
        Lift lift,
        int weeks,
        int sessions,
        Percent start,
        int place,
        int of,
        Optional<List<Integer>> daysToContest,
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

    /** How far through the block a week is, 0 to 1. */
    double through(int week) {
        return weeks == 1 ? 1 : (double) week / (weeks - 1);
    }

    /** Shares from the start to a share in steps that shrink. */
    List<Percent> upTo(long percent) {
        Percent goal = Percent.of(percent);
        return ShrinkingSteps.reaching(start, goal.isLessThan(start) ? start : goal, weeks);
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
            if (block.available().test(candidate)) {
                return Optional.of(candidate);
            }
        }
        return Optional.empty();
    }

    /** The variations of this lift that the gym has what is needed for, in the order given, else the lift itself. */
    List<Lift> variations() {
        List<String> keys = isPull()
                ? List.of("deficit-deadlift", "paused-deadlift", "mid-shin-pull", "snatch-grip-deadlift")
                : root().equals(Lift.BENCH_PRESS)
                        ? List.of("close-grip-bench-press", "paused-bench-press", "incline-press", "floor-press")
                        : root().equals(Lift.OVERHEAD_PRESS)
                                ? List.of("push-press", "seated-press", "overhead-press")
                                : root().equals(Lift.SQUAT)
                                        ? List.of("paused-squat", "front-squat", "high-bar-squat", "box-squat")
                                        : List.of();
        List<Lift> known =
                keys.stream().map(Lift::new).filter(block.available()).toList();
        return known.isEmpty() ? List.of(lift) : known;
    }

    /** Assistance for the lift as most coaches would choose it, at most two. */
    List<Strand> assistance(int session, List<Optional<Dose>> first, List<Optional<Dose>> second) {
        List<Strand> strands = new ArrayList<>();
        if (isPress()) {
            add(strands, session, first, Purpose.TRICEPS, "triceps-pushdown", "triceps-extension", "dip");
            add(strands, session, second, Purpose.UPPER_BACK, "dumbbell-row", "barbell-row", "lat-pulldown");
        } else if (isPull()) {
            add(strands, session, first, Purpose.UPPER_BACK, "barbell-row", "cable-row", "pull-up");
            add(strands, session, second, Purpose.TRUNK, "ab-wheel", "back-extension");
        } else if (root().equals(Lift.SQUAT)) {
            add(
                    strands,
                    session,
                    first,
                    Purpose.HAMSTRINGS_AND_GLUTES,
                    "romanian-deadlift",
                    "leg-curl",
                    "back-extension");
            add(strands, session, second, Purpose.TRUNK, "ab-wheel", "back-extension");
        }
        return strands;
    }

    private void add(List<Strand> strands, int session, List<Optional<Dose>> doses, Purpose purpose, String... keys) {
        firstAvailable(keys)
                .ifPresent(found -> strands.add(new Strand(session, Strand.ASSISTANCE, found, purpose, doses)));
    }
}
