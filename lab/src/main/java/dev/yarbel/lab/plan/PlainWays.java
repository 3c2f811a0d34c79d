package dev.yarbel.lab.plan;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.lab.lifter.TrainedLifter;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The ways that Yarbel is held against. Each takes every sixth week easy. */
public final class PlainWays {

    private static final int EASY_EVERY = 6;

    private PlainWays() {}

    private static boolean isSixth(int week) {
        return week % EASY_EVERY == EASY_EVERY - 1;
    }

    /** What the usual curve gives for so many repetitions with so many left. */
    static double share(int reps, int left) {
        return RepCurve.DEFAULT.share(RepsInAll.toTheLimit(reps + left)).share().doubleValue();
    }

    private static Map<Lift, Double> tested(TrainedLifter lifter) {
        Map<Lift, Double> tested = new HashMap<>();
        for (Lift lift : List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT)) {
            tested.put(lift, lifter.tested(lift));
        }
        return tested;
    }

    /** Percentages of the max that was tested before the first day. */
    public static Way fixed(TrainedLifter lifter) {
        Map<Lift, Double> tested = tested(lifter);
        return new Way() {
            @Override
            public boolean isEasy(int week) {
                return isSixth(week);
            }

            @Override
            public double top(Lift lift, TrainedLifter who) {
                return tested.get(lift) * share(TOP_REPS, TOP_LEFT);
            }

            @Override
            public double fives(Lift lift, TrainedLifter who) {
                return tested.get(lift) * share(FIVE_REPS, FIVE_LEFT);
            }

            @Override
            public void done(Lift lift, List<Lived.Set> sets) {
                // nothing reacts to what was lifted
            }
        };
    }

    /** Loads as they feel, set by set; nobody draws conclusions. */
    public static Way byFeel() {
        return new Way() {
            @Override
            public boolean isEasy(int week) {
                return isSixth(week);
            }

            @Override
            public double top(Lift lift, TrainedLifter who) {
                return who.byFeel(lift, TOP_REPS, TOP_LEFT);
            }

            @Override
            public double fives(Lift lift, TrainedLifter who) {
                return who.byFeel(lift, FIVE_REPS, FIVE_LEFT);
            }

            @Override
            public void done(Lift lift, List<Lived.Set> sets) {
                // the next set is chosen as it feels then
            }
        };
    }

    /** Two and a half kilograms more where it went well, a tenth less where it was missed twice in a row. */
    public static Way crude(TrainedLifter lifter) {
        Map<Lift, Double> tested = tested(lifter);
        Map<Lift, Double> more = new HashMap<>();
        Map<Lift, Integer> missed = new HashMap<>();
        return new Way() {
            @Override
            public boolean isEasy(int week) {
                return isSixth(week);
            }

            @Override
            public double top(Lift lift, TrainedLifter who) {
                return tested.get(lift) * share(TOP_REPS, TOP_LEFT) + more.getOrDefault(lift, 0.0);
            }

            @Override
            public double fives(Lift lift, TrainedLifter who) {
                return tested.get(lift) * share(FIVE_REPS, FIVE_LEFT) + more.getOrDefault(lift, 0.0);
            }

            @Override
            public void done(Lift lift, List<Lived.Set> sets) {
                if (sets.stream().anyMatch(set -> set.done().reps() < set.asked())) {
                    if (missed.merge(lift, 1, Integer::sum) == 2) {
                        more.merge(lift, -tested.get(lift) / 10, Double::sum);
                        missed.put(lift, 0);
                    }
                    return;
                }
                missed.put(lift, 0);
                if (sets.stream().allMatch(PlainWays::wentWell)) {
                    more.merge(lift, 2.5, Double::sum);
                }
            }
        };
    }

    private static boolean wentWell(Lived.Set set) {
        int wanted = set.asked() == Way.TOP_REPS ? Way.TOP_LEFT : Way.FIVE_LEFT;
        return set.done().said().isMoreThanFourLeft()
                || set.done()
                        .said()
                        .rating()
                        .map(Rpe::halvesLeft)
                        .filter(halves -> halves >= 2 * wanted)
                        .isPresent();
    }
}
