package dev.yarbel.core.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.BigRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class RepCurveTest {

    /** Haff & Triplett, Essentials of Strength Training and Conditioning, 4th ed., NSCA (values from memory). */
    private static final int[] TABLE = {100, 95, 93, 90, 87, 85, 83, 80, 77, 75};

    private static double share(RepCurve curve, int reps) {
        return curve.share(RepsInAll.toTheLimit(reps)).figure().doubleValue();
    }

    @Test
    void aSingleIsTheWholeMax() {
        assertThat(RepCurve.DEFAULT.share(RepsInAll.toTheLimit(1))).isEqualTo(Percent.HUNDRED);
    }

    @Test
    void theDefaultKeepsWithinTwoPointsOfThePublishedTableUpToTenReps() {
        for (int reps = 1; reps <= TABLE.length; reps++) {
            assertThat(share(RepCurve.DEFAULT, reps)).as("%d reps", reps).isCloseTo(TABLE[reps - 1], within(2.0));
        }
    }

    @Test
    void theMisfitIsWhatTheDocumentationSays() {
        double largest = IntStream.rangeClosed(1, 10)
                .mapToDouble(r -> Math.abs(share(RepCurve.DEFAULT, r) - TABLE[r - 1]))
                .max()
                .orElseThrow();
        assertThat(largest).isCloseTo(1.5, within(0.05));
        assertThat(Math.sqrt(squares(RepCurve.DEFAULT) / 10)).isCloseTo(0.6, within(0.05));
        assertThat(share(RepCurve.DEFAULT, 12)).isCloseTo(71.4, within(0.05));
    }

    @Test
    void noOtherSteepnessFitsTheTableBetter() {
        assertThat(squares(RepCurve.DEFAULT))
                .isLessThan(squares(OneParameterCurve.of("0.0360")))
                .isLessThan(squares(OneParameterCurve.of("0.0368")));
    }

    private static double squares(RepCurve curve) {
        return IntStream.rangeClosed(1, 10)
                .mapToDouble(r -> Math.pow(share(curve, r) - TABLE[r - 1], 2))
                .sum();
    }

    /** The seven formulas disagree by up to some ten points at ten repetitions; ours stays within their band. */
    @Test
    void theDefaultLiesAmongThePublishedFormulas() {
        for (int reps = 2; reps <= 10; reps++) {
            int r = reps;
            double lowest = Arrays.stream(RepFormula.values())
                    .mapToDouble(formula -> share(formula, r))
                    .min()
                    .orElseThrow();
            double highest = Arrays.stream(RepFormula.values())
                    .mapToDouble(formula -> share(formula, r))
                    .max()
                    .orElseThrow();
            assertThat(share(RepCurve.DEFAULT, reps)).as("%d reps", reps).isBetween(lowest, highest);
        }
    }

    /** With n − 1 for r, 1/(1 + k(n − 1)) at k = 1/30 is Epley's formula shifted to be whole at a single. */
    @Test
    void atOneThirtiethItIsEpleyShiftedByOneRepetition() {
        for (int reps = 3; reps <= 12; reps++) {
            assertThat(share(OneParameterCurve.of("0.0333333333"), reps))
                    .isCloseTo(share(RepFormula.EPLEY, reps - 1), within(0.001));
        }
    }

    @Property
    void moreRepetitionsAlwaysMeanLessLoad(
            @ForAll @BigRange(min = "0.01", max = "0.1") BigDecimal k,
            @ForAll @IntRange(min = 2, max = 23) int halves) {
        RepCurve curve = new OneParameterCurve(k);
        assertThat(curve.share(new RepsInAll(halves + 1))).isLessThan(curve.share(new RepsInAll(halves)));
    }

    @Property
    void theMaxOfALoadFromAMaxIsThatMax(
            @ForAll @IntRange(min = 20, max = 500) int kg,
            @ForAll @IntRange(min = 1, max = 8) int reps,
            @ForAll @IntRange(min = 6, max = 10) int rpe) {
        Mass load = RepCurve.DEFAULT.load(Mass.ofKg(kg), reps, Rpe.of(rpe));
        Mass back = RepCurve.DEFAULT.max(load, RepsInAll.of(reps, Rpe.of(rpe)));
        assertThat(back.distanceTo(Mass.ofKg(kg))).isLessThan(Mass.ofTensOfNanograms(1000));
    }

    @Test
    void absurdSteepnessIsRefused() {
        assertThatThrownBy(() -> OneParameterCurve.of("0")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> OneParameterCurve.of("0.5")).isInstanceOf(IllegalArgumentException.class);
    }
}
