package dev.yarbel.core.review;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import java.util.List;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;

/** Where the work of a plan goes over the weeks that are meant to build: from their first third to their last one. */
final class Trend {

    static final Percent HEAVIER_BY = Percent.of(2);
    static final double MORE_BY = 1.1;

    /** Fewer weeks than so go nowhere yet. */
    static final int TELLING_WEEKS = 3;

    private static final int THIRDS = 3;

    private final Reviewed plan;
    private final List<Integer> trained;
    private final List<Lift> contested;

    Trend(Reviewed plan) {
        this.plan = plan;
        this.trained = IntStream.range(0, plan.block().weeks())
                .filter(this::isTrained)
                .boxed()
                .toList();
        this.contested = plan.reckoning().families().stream()
                .filter(root -> plan.catalogue().of(root).contest())
                .toList();
    }

    /** A week that is meant to build: no deload, no gap, none that holds, none that a contest thins out. */
    private boolean isTrained(int week) {
        Block block = plan.block();
        BlockWeek shape = block.shape().get(week);
        return !shape.deload()
                && !block.isGap(week)
                && shape.phase() != Phase.HOLD
                && !ContestReview.isShaped(plan, block.start().plusWeeks(week).plusDays(6));
    }

    /** The weeks that are meant to build, from 0. */
    List<Integer> trained() {
        return trained;
    }

    /** The families of contest lifts, by the most work. */
    List<Lift> contested() {
        return contested;
    }

    /** What a figure of the trained weeks is in the mean of their first third and of their last one. */
    double[] thirds(IntToDoubleFunction ofWeek) {
        int third = Math.max(1, trained.size() / THIRDS);
        return new double[] {
            trained.stream()
                    .limit(third)
                    .mapToDouble(ofWeek::applyAsDouble)
                    .average()
                    .orElse(0),
            trained.stream()
                    .skip(trained.size() - (long) third)
                    .mapToDouble(ofWeek::applyAsDouble)
                    .average()
                    .orElse(0)
        };
    }

    double[] reps() {
        return thirds(week -> plan.reckoning().week(week).reps());
    }

    /** In the mean of all repetitions, in percent of the max. */
    double[] means() {
        return thirds(week -> percent(plan.reckoning().week(week).mean()));
    }

    static double percent(Optional<Percent> share) {
        return share.map(percent -> percent.figure().doubleValue()).orElse(0.0);
    }

    /** Volume, intensity and frequency all go up, which they cannot (common practice, no source; where they do is ours). */
    boolean isTriangle() {
        if (trained.size() < TELLING_WEEKS) {
            return false;
        }
        double[] reps = reps();
        double[] means = means();
        double[] days = thirds(week -> contested.stream()
                .mapToInt(root -> plan.reckoning().frequency(root, week))
                .sum());
        return reps[1] > reps[0] * MORE_BY
                && means[1] >= means[0] + HEAVIER_BY.figure().doubleValue()
                && days[1] > days[0];
    }
}
