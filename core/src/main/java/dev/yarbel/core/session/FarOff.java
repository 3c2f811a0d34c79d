package dev.yarbel.core.session;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.measure.UnitSlip;
import java.util.Optional;

/**
 * What is so far from what this lifter and this plan make likely that a slip of the thumb is likelier: it is asked about
 * before it is kept, with what was expected, and kept once somebody stands by it. Nothing is ever refused here.
 *
 * <p>Each answer is what was expected, or nothing where the figure may stand. All bounds are starting values of ours.
 */
public final class FarOff {

    private static final Percent OVER_PLAN = Percent.of(135);
    private static final Percent UNDER_PLAN = Percent.of(50);
    private static final Mass SLIGHT = Mass.ofKg(15);
    private static final Percent OVER_MAX = Percent.of(130);
    private static final int REPS_OVER_LIMIT = 8;
    private static final int REPS_OVER_PLAN = 5;
    private static final Percent OVER_ESTIMATE = Percent.of(112);
    private static final int A_REPETITION = 2;

    private static final int HALVES_EASY = Rpe.LOWEST_THAT_ESTIMATES.halvesLeft() + 2;

    private static final Percent MAX_FROM = Percent.of(65);
    private static final Percent MAX_TO = Percent.of(145);
    private static final Percent DECISION_FROM = Percent.of(80);
    private static final Percent DECISION_TO = Percent.of(120);
    private static final Percent BODY_FROM = Percent.of(88);
    private static final Percent BODY_TO = Percent.of(112);
    private static final Mass LIGHTEST_BODY = Mass.ofKg(30);
    private static final Mass HEAVIEST_BODY = Mass.ofKg(220);
    private static final int MOST_PLATES = 24;

    private FarOff() {}

    /** A load that was lifted, beside the planned one; or where none was planned, beside the lifter's max. */
    public static Optional<Mass> load(Mass said, Optional<Mass> planned, Optional<Mass> max) {
        if (!said.isPositive()) {
            return Optional.empty();
        }
        Optional<Mass> asked = planned.filter(Mass::isPositive);
        if (asked.isPresent()) {
            return asked.filter(load -> UnitSlip.isSuspected(said, load)
                    || isOutside(said, load, UNDER_PLAN, OVER_PLAN)
                            && said.distanceTo(load).isGreaterThan(SLIGHT));
        }
        return max.filter(known -> said.isGreaterThan(known.times(OVER_MAX)));
    }

    /**
     * Repetitions of a set.
     *
     * @param planned what was asked for; empty where the set goes as far as it can
     */
    public static Optional<Integer> reps(int said, Optional<Integer> planned, Mass load, LiftNumbers numbers) {
        if (planned.isPresent()) {
            int asked = planned.get();
            return said > asked + Math.max(REPS_OVER_PLAN, asked) ? planned : Optional.empty();
        }
        return numbers.estimate().filter(max -> load.isPositive()).flatMap(max -> {
            int limit = 1;
            while (limit < 50
                    && !load.isGreaterThan(max.times(numbers.curve().share(RepsInAll.toTheLimit(limit + 1))))) {
                limit++;
            }
            return said > limit + REPS_OVER_LIMIT ? Optional.of(limit) : Optional.empty();
        });
    }

    /**
     * A rating of so many repetitions with a load: so easy that it speaks for a max far above the lifter's, or harder than 9
     * where more than four should be left.
     *
     * @param load plain, see {@link Demand#plain}
     */
    public static Optional<PredictedEffort> rating(Effort said, int reps, Mass load, LiftNumbers numbers) {
        if (reps < 1 || !load.isPositive() || said.rating().isEmpty() && !said.isMoreThanFourLeft()) {
            return Optional.empty();
        }
        int left = said.rating().map(Rpe::halvesLeft).orElse(HALVES_EASY);
        boolean tooEasy = left >= A_REPETITION
                && numbers.estimate()
                        .filter(max -> numbers.curve()
                                .max(load, new RepsInAll(2 * reps + left))
                                .isGreaterThan(max.times(OVER_ESTIMATE)))
                        .isPresent();
        return PredictedEffort.of(reps, load, numbers)
                .filter(likely -> tooEasy || likely.isLight() && left < A_REPETITION);
    }

    /** A max that is set down, beside the newest one known. */
    public static Optional<Mass> max(Mass said, Optional<Mass> known) {
        return known.filter(last -> isOutside(said, last, MAX_FROM, MAX_TO));
    }

    /** A figure that a coach puts in place of a working max. */
    public static Optional<Mass> workingMax(Mass said, Optional<Mass> known) {
        return known.filter(last -> isOutside(said, last, DECISION_FROM, DECISION_TO));
    }

    /** A body mass, beside the last one; the first one beside what anybody weighs. */
    public static Optional<Mass> bodyMass(Mass said, Optional<Mass> last) {
        if (last.isPresent()) {
            return last.filter(known -> isOutside(said, known, BODY_FROM, BODY_TO));
        }
        if (said.isLessThan(LIGHTEST_BODY)) {
            return Optional.of(LIGHTEST_BODY);
        }
        return said.isGreaterThan(HEAVIEST_BODY) ? Optional.of(HEAVIEST_BODY) : Optional.empty();
    }

    /** How many plates there are of a kind. */
    public static Optional<Integer> plates(int said) {
        return said > MOST_PLATES ? Optional.of(MOST_PLATES) : Optional.empty();
    }

    /** How much one plate weighs: more than 50 kg or 100 lb is rather the count, or the other unit. */
    public static Optional<Mass> plate(Mass said, MassUnit unit) {
        Mass most = unit == MassUnit.KG ? Mass.ofKg(50) : Mass.ofLb(100);
        return said.isGreaterThan(most) ? Optional.of(most) : Optional.empty();
    }

    private static boolean isOutside(Mass said, Mass known, Percent from, Percent to) {
        return said.isLessThan(known.times(from)) || said.isGreaterThan(known.times(to));
    }
}
