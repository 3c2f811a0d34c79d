package dev.yarbel.web.demo;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;

/**
 * What an invented lifter lifted once a week before there was a plan: a single and sets of five, rated and measured, of a max that grew
 * evenly.
 *
 * @param from the max in the first week
 * @param to the max in the last
 */
record DemoPast(Lift lift, Mass from, Mass to, int weeks) {

    private static final String[] SINGLES = {"7", "8", "7.5", "8.5", "8", "9", "7"};
    private static final String[] FIVES = {"7", "7.5", "8", "8", "8.5", "9", "6.5"};
    private static final int FIVES_A_WEEK = 3;
    /** Metres a second with nothing left, and more for each repetition that is left. */
    private static final int AT_THE_LIMIT = 215;

    private static final int FOR_EACH_LEFT = 42;
    private static final BigDecimal STEP = new BigDecimal("2.5");

    /** The sets of a week, from 0. */
    List<DoneSet> session(int week) {
        List<DoneSet> sets = new ArrayList<>();
        sets.add(set(TaskKey.work("A", 1), week, 1, Rpe.parse(SINGLES[week % SINGLES.length])));
        for (int i = 1; i <= FIVES_A_WEEK; i++) {
            Rpe rating = Rpe.parse(FIVES[(week + 2) % FIVES.length]);
            sets.add(set(TaskKey.work("B", i), week, 5, rating));
        }
        return sets;
    }

    private DoneSet set(TaskKey task, int week, int reps, Rpe rating) {
        Percent grown = Percent.of(100L * week / weeks);
        Mass max = from.plus(to.minus(from).times(grown));
        BigDecimal steps =
                RepCurve.DEFAULT.load(max, reps, rating).in(MassUnit.KG).divide(STEP, 0, RoundingMode.HALF_DOWN);
        int wobble = (7 * week + 5 * reps) % 17 - 8;
        BarSpeed speed = new BarSpeed(AT_THE_LIMIT + FOR_EACH_LEFT * rating.halvesLeft() / 2 + wobble);
        return new DoneSet(
                task,
                new LiftedSet(
                        lift,
                        Mass.of(steps.multiply(STEP), MassUnit.KG),
                        reps,
                        Effort.rated(rating),
                        SetDetails.NONE.with(speed)));
    }
}
