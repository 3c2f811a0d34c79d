package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.List;
import java.util.Optional;

/**
 * Finding a starting working max for somebody who has none.
 *
 * <p>Either by a guided test, sets of five that climb until three repetitions are left; or by a load good for 15 to 20
 * repetitions, which is where a beginner's fives start, at 60 % of the working max. Steps of the test: after sets
 * with more than four left 60 % of the load twice, then 50, 40, 30, 20 and 15 %; 5 % after one with four left; one step of
 * the kit at least; after a miss once halfway back. So the bar gets heavy soon for the strong, and the weak are found before it does. Both are common
 * practice without a source; the sizes of the steps are our own starting values.
 */
public final class NoviceStart {

    /** Repetitions of each set of the test. */
    public static final int REPS = 5;

    /** After so many sets the day is too long to tell anything. */
    public static final int MOST_SETS = 8;

    private static final Rpe THREE_LEFT = Rpe.of(7);

    private static final List<Percent> EASY_STEPS = List.of(
            Percent.of(160), Percent.of(160), Percent.of(150), Percent.of(140), Percent.of(130), Percent.of(120));

    private static final Percent LAST_EASY_STEP = Percent.of(115);
    private static final Percent NEAR_STEP = Percent.of(105);
    private static final Percent HALF = Percent.of(50);
    /** A load missed this far above the last one made leaves room for one between. */
    private static final Percent FAR = Percent.of(112);

    private static final Percent SHARE_OF_MAX = Percent.of(90);
    private static final Percent FIVES_START = Percent.of(60);

    private NoviceStart() {}

    /** A set of five as it went. */
    public record TestSet(Mass load, Effort effort) {

        public TestSet {
            if (!load.isPositive()) {
                throw new IllegalArgumentException("a set has a load");
            }
        }
    }

    /** What follows from the sets so far. */
    public sealed interface Step {

        /**
         * What a test that is over found.
         *
         * @param max what the sets speak for, at least
         */
        record Found(Mass max, Mass workingMax) {}

        /** What the test found; empty while it runs, and where it found nothing. */
        default Optional<Found> found() {
            return Optional.empty();
        }

        /** Asks what kind this is. */
        <T> T accept(Visitor<T> visitor);

        /** What somebody makes of each of them. */
        interface Visitor<T> {

            T another(Another another);

            T over(Over over);

            T ended(Ended ended);

            T tooHeavy(TooHeavy tooHeavy);
        }

        /** Another set of five. */
        record Another(Mass load) implements Step {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.another(this);
            }
        }

        /**
         * The test is over.
         *
         * @param max what the last set made speaks for
         * @param workingMax 90 % of it
         * @param overshot whether fewer than three were left, or a set was missed: the last step was too large
         */
        record Over(Mass max, Mass workingMax, boolean overshot) implements Step {
            @Override
            public Optional<Found> found() {
                return Optional.of(new Found(max, workingMax));
            }

            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.over(this);
            }
        }

        /** The kit or the day ended before three repetitions were left: the max is at least this. */
        record Ended(Mass atLeast, Mass workingMax) implements Step {
            @Override
            public Optional<Found> found() {
                return Optional.of(new Found(atLeast, workingMax));
            }

            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.ended(this);
            }
        }

        /** Five were not there with the lightest load. */
        record TooHeavy() implements Step {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.tooHeavy(this);
            }
        }
    }

    /** What to do after the sets so far; the first set is the lightest load there is. */
    public static Step next(List<TestSet> sets, AvailableLoads loads, RepCurve curve) {
        return next(sets, loads, curve, false);
    }

    /**
     * What to do after the sets so far.
     *
     * @param fromTheFloor the bar is pulled from the floor: the test begins with the lightest load that lies there at its
     *     height, and only when that is too heavy with less, from blocks
     */
    public static Step next(List<TestSet> sets, AvailableLoads loads, RepCurve curve, boolean fromTheFloor) {
        if (sets.isEmpty()) {
            return new Step.Another(fromTheFloor ? lightestAtHeight(loads) : loads.lightest());
        }
        if (sets.size() == 1 && isMissed(sets.get(0)) && sets.get(0).load().isGreaterThan(loads.lightest())) {
            return new Step.Another(loads.round(sets.get(0).load().times(HALF), Rounding.NEAREST));
        }
        TestSet last = sets.get(sets.size() - 1);
        Optional<TestSet> missed = sets.stream().filter(NoviceStart::isMissed).reduce((first, second) -> second);
        Optional<TestSet> made = sets.stream().filter(set -> !isMissed(set)).reduce((first, second) -> second);
        if (made.isEmpty()) {
            return new Step.TooHeavy();
        }
        if (missed.isPresent()) {
            return afterMiss(sets, made.get(), missed.get(), loads, curve);
        }
        Optional<Rpe> rated = last.effort().rating().filter(rpe -> rpe.compareTo(THREE_LEFT) >= 0);
        if (rated.isPresent()) {
            return over(last, rated.get().compareTo(THREE_LEFT) > 0, curve);
        }
        Mass heavier = heavier(sets, loads);
        if (sets.size() >= MOST_SETS || !heavier.isGreaterThan(last.load())) {
            Mass atLeast = max(last, curve);
            return new Step.Ended(atLeast, workingMaxOf(atLeast));
        }
        return new Step.Another(heavier);
    }

    private static Mass lightestAtHeight(AvailableLoads loads) {
        return loads.loads().stream()
                .filter(load ->
                        loads.fit(load, Rounding.NEAREST).loading().stack().isFullHeight())
                .findFirst()
                .orElse(loads.lightest());
    }

    private static boolean isMissed(TestSet set) {
        return set.effort().isMissed();
    }

    /** A step that was far too large is halved, once; else what was made last speaks. */
    private static Step afterMiss(
            List<TestSet> sets, TestSet made, TestSet missed, AvailableLoads loads, RepCurve curve) {
        Mass between = loads.round(made.load().plus(missed.load()).times(HALF), Rounding.DOWN);
        boolean justMissed = missed.equals(sets.get(sets.size() - 1));
        boolean once = sets.stream().filter(NoviceStart::isMissed).count() == 1;
        boolean far = missed.load().isGreaterThan(made.load().times(FAR));
        return justMissed && once && far && between.isGreaterThan(made.load()) && sets.size() < MOST_SETS
                ? new Step.Another(between)
                : over(made, true, curve);
    }

    private static Mass heavier(List<TestSet> sets, AvailableLoads loads) {
        TestSet last = sets.get(sets.size() - 1);
        Percent easy = sets.size() <= EASY_STEPS.size() ? EASY_STEPS.get(sets.size() - 1) : LAST_EASY_STEP;
        Percent step = last.effort().isMoreThanFourLeft() ? easy : NEAR_STEP;
        Mass heavier = loads.round(last.load().times(step), Rounding.NEAREST);
        return heavier.isGreaterThan(last.load())
                ? heavier
                : loads.round(last.load().plus(loads.stepAt(last.load())), Rounding.NEAREST);
    }

    private static Step over(TestSet set, boolean overshot, RepCurve curve) {
        Mass max = max(set, curve);
        return new Step.Over(max, workingMaxOf(max), overshot);
    }

    /** More than four left speaks for four at least. */
    private static Mass max(TestSet set, RepCurve curve) {
        Rpe rpe = set.effort().rating().orElse(Rpe.LOWEST_THAT_ESTIMATES);
        return curve.max(set.load(), RepsInAll.of(REPS, rpe));
    }

    private static Mass workingMaxOf(Mass max) {
        return max.times(SHARE_OF_MAX);
    }

    /** The working max of which a load good for 15 to 20 repetitions is the 60 % that a beginner's fives start at. */
    public static Mass workingMax(Mass goodForFifteen) {
        return goodForFifteen.asShareOf(FIVES_START);
    }
}
