package dev.yarbel.lab.proof;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.estimate.RatingBias;
import dev.yarbel.core.estimate.StrengthHistory;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.lab.lifter.Life;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** How far what is learnt of a lifter's habits lies off the truth at the end: how they rate, and how load falls with repetitions. */
final class HabitProof {

    private static final double EIGHTY = 1.2816;
    private static final int LEAST_REPS = 2;
    private static final int MOST_REPS = 8;

    private final List<Double> bias = new ArrayList<>();
    private final List<Double> unbiased = new ArrayList<>();
    private final List<Double> learnt = new ArrayList<>();
    private final List<Double> usual = new ArrayList<>();
    private int held;

    static HabitProof of(List<Life> lives) {
        HabitProof proof = new HabitProof();
        for (Life life : lives) {
            StrengthHistory history = Lives.history(life);
            LocalDate last = life.weeks().get(life.weeks().size() - 1).last();
            life.habits().forEach((lift, habit) -> proof.measure(history, lift, last, habit));
        }
        return proof;
    }

    private void measure(StrengthHistory history, Lift lift, LocalDate day, Life.Habit habit) {
        RatingBias said = history.on(day).ratingBias(lift).orElseThrow();
        double off = Math.abs(said.reps().doubleValue() - habit.bias());
        bias.add(off);
        unbiased.add(Math.abs(habit.bias()));
        held += off <= EIGHTY * said.spread().doubleValue() ? 1 : 0;
        learnt.add(misfit(history.on(day).curve(lift).orElseThrow(), habit));
        usual.add(misfit(RepCurve.DEFAULT, habit));
    }

    /** The root mean square over 2 to 8 repetitions, in points of the max. */
    private static double misfit(RepCurve curve, Life.Habit habit) {
        double squares = 0;
        for (int reps = LEAST_REPS; reps <= MOST_REPS; reps++) {
            double share = curve.share(RepsInAll.toTheLimit(reps)).figure().doubleValue();
            squares += Math.pow(share - 100 * habit.share(reps), 2);
        }
        return Math.sqrt(squares / (MOST_REPS - LEAST_REPS + 1));
    }

    /** The row of the rating bias alone, of lifters of whom something else is so. */
    String biasRow(String who) {
        return String.format(
                Locale.ROOT,
                "| %s | %.2f | %.2f | %d %% |%n",
                who,
                medianBias(),
                Lives.quantile(bias, 0.9),
                Math.round(100.0 * held / bias.size()));
    }

    /** The error of the rating bias in the middle of all lifts, in repetitions. */
    double medianBias() {
        return Lives.median(bias);
    }

    double medianCurve() {
        return Lives.median(learnt);
    }

    /** The same of the usual curve, which learns nothing. */
    double medianUsualCurve() {
        return Lives.median(usual);
    }

    String table() {
        return String.format(
                Locale.ROOT,
                """
                | | error in the middle | nine of ten within | who learns nothing |
                |---|---:|---:|---:|
                | rating bias, repetitions | %.2f | %.2f | %.2f |
                | rep curve, 2 to 8 repetitions, points of the max | %.1f | %.1f | %.1f |

                The 80 %% range of the rating bias held it in %d %% of the lifts.
                """,
                medianBias(),
                Lives.quantile(bias, 0.9),
                Lives.median(unbiased),
                medianCurve(),
                Lives.quantile(learnt, 0.9),
                medianUsualCurve(),
                Math.round(100.0 * held / bias.size()));
    }
}
