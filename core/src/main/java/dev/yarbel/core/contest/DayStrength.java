package dev.yarbel.core.contest;

import dev.yarbel.core.estimate.LifterStrength;
import dev.yarbel.core.estimate.PossibleLifter;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.rehearsal.MaxOutlook;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.linear.RectangularCholeskyDecomposition;
import org.hipparchus.stat.correlation.Covariance;
import org.hipparchus.stat.descriptive.DescriptiveStatistics;

/**
 * What a lifter may have in each lift on the day of a contest: the logarithms of the maxes are normally distributed together, as a
 * good day helps every lift.
 *
 * <p>Where the block up to the day was rehearsed, each max is what the rehearsal leaves ready; else it is what stands today. The
 * form of a day comes on top of both.
 */
public final class DayStrength {

    private static final int DRAWN = 400;
    private static final long SEED = 21;
    /** From the middle to the end of a range that holds a figure four times of five, in standard deviations. */
    private static final double EIGHTY = 1.2816;

    private static final double AS_GOOD_AS_NOTHING = 1e-11;
    /** Nobody's max is surer than this, as a share of it. */
    private static final double SUREST = 0.005;

    private final List<Lift> lifts;
    private final RealVector mean;
    private final RealMatrix covariance;

    private DayStrength(List<Lift> lifts, RealVector mean, RealMatrix covariance) {
        this.lifts = List.copyOf(lifts);
        this.mean = mean;
        this.covariance = covariance;
    }

    /**
     * Of the lifts of a contest; empty where of one of them nothing is known, or there is none.
     *
     * @param rehearsed what the block up to the day leaves of each lift that it was rehearsed for
     */
    public static Optional<DayStrength> of(
            LifterStrength strength,
            List<Lift> lifts,
            LocalDate today,
            LocalDate contest,
            Map<Lift, MaxOutlook> rehearsed) {
        if (lifts.isEmpty()
                || lifts.stream().anyMatch(lift -> strength.estimate(lift).isEmpty())) {
            return Optional.empty();
        }
        return strength.possible(lifts, Map.of())
                .filter(draws -> draws.known().containsAll(lifts))
                .map(draws -> of(draws, lifts, today, contest, rehearsed));
    }

    private static DayStrength of(
            PossibleLifter.Draws draws,
            List<Lift> lifts,
            LocalDate today,
            LocalDate contest,
            Map<Lift, MaxOutlook> rehearsed) {
        SplittableRandom seeds = new SplittableRandom(SEED);
        double[][] logs = new double[DRAWN][lifts.size()];
        DescriptiveStatistics form = new DescriptiveStatistics();
        for (double[] of : logs) {
            PossibleLifter lifter = draws.next(seeds.split());
            lifter.until(today);
            for (int i = 0; i < of.length; i++) {
                of[i] = Math.log(lifter.standing(lifts.get(i)));
            }
            lifter.until(contest);
            // a form is the same for every lift; what would be lost without training until then is not in it
            double day = Math.log(lifter.shown(lifts.get(0)) / lifter.standing(lifts.get(0)));
            form.addValue(day);
            for (int i = 0; i < of.length; i++) {
                of[i] += day;
            }
        }
        RealMatrix covariance = new Covariance(logs).getCovarianceMatrix();
        RealVector mean = new ArrayRealVector(lifts.size());
        for (int i = 0; i < lifts.size(); i++) {
            double sum = 0;
            for (double[] of : logs) {
                sum += of[i];
            }
            mean.setEntry(i, sum / DRAWN);
            MaxOutlook outlook = rehearsed.get(lifts.get(i));
            if (outlook != null) {
                mean.setEntry(i, Math.log(outlook.ready().middle()));
                double spread =
                        Math.log(outlook.ready().high() / outlook.ready().low()) / 2 / EIGHTY;
                rescale(covariance, i, Math.hypot(spread, form.getStandardDeviation()));
            }
            if (covariance.getEntry(i, i) < SUREST * SUREST) {
                rescale(covariance, i, SUREST);
            }
        }
        return new DayStrength(lifts, mean, covariance);
    }

    /** Gives one of them another spread; how it hangs together with the others stays. */
    private static void rescale(RealMatrix covariance, int at, double spread) {
        double was = Math.sqrt(covariance.getEntry(at, at));
        if (was == 0) {
            covariance.setEntry(at, at, spread * spread);
            return;
        }
        for (int i = 0; i < covariance.getRowDimension(); i++) {
            double share = i == at ? spread * spread / was / was : spread / was;
            double value = covariance.getEntry(at, i) * share;
            covariance.setEntry(at, i, value);
            covariance.setEntry(i, at, value);
        }
    }

    /**
     * For what is known otherwise: each lift's max and its doubt, and what they have in common.
     *
     * @param maxes in kg
     * @param spread one standard deviation of each, as a share of it
     * @param together one standard deviation of what all share, at most the spread
     */
    public static DayStrength of(Map<Lift, Double> maxes, List<Lift> lifts, double spread, double together) {
        RealVector mean = new ArrayRealVector(
                lifts.stream().mapToDouble(lift -> Math.log(maxes.get(lift))).toArray());
        RealMatrix covariance = new Array2DRowRealMatrix(lifts.size(), lifts.size());
        for (int i = 0; i < lifts.size(); i++) {
            for (int j = 0; j < lifts.size(); j++) {
                covariance.setEntry(i, j, i == j ? spread * spread : together * together);
            }
        }
        return new DayStrength(lifts, mean, covariance);
    }

    /** What {@link #ofFigures} makes it from again: the means and the covariance, row by row, of the logarithms. */
    public List<Double> figures() {
        List<Double> figures = new ArrayList<>();
        Arrays.stream(mean.toArray()).forEach(figures::add);
        for (double[] row : covariance.getData()) {
            Arrays.stream(row).forEach(figures::add);
        }
        return figures;
    }

    /** The same from its figures; empty where there are not as many as the lifts have. */
    public static Optional<DayStrength> ofFigures(List<Lift> lifts, List<Double> figures) {
        int n = lifts.size();
        if (n == 0 || figures.size() != n + n * n) {
            return Optional.empty();
        }
        double[] all = figures.stream().mapToDouble(Double::doubleValue).toArray();
        RealMatrix covariance = new Array2DRowRealMatrix(n, n);
        for (int i = 0; i < n; i++) {
            covariance.setRow(i, Arrays.copyOfRange(all, n + i * n, n + (i + 1) * n));
        }
        return Optional.of(new DayStrength(lifts, new ArrayRealVector(Arrays.copyOf(all, n)), covariance));
    }

    public List<Lift> lifts() {
        return lifts;
    }

    /** What may be there in a lift, before anything was attempted in it. */
    public LiftForm form(Lift lift) {
        int at = lifts.indexOf(lift);
        return LiftForm.of(mean.getEntry(at), Math.sqrt(covariance.getEntry(at, at)));
    }

    /**
     * What is to be thought of all lifts after attempts at one: where it showed a good day, the others may be better too. The others
     * move as a normal distribution does when one of its figures is known better.
     */
    public DayStrength after(Lift lift, List<Attempt> attempts) {
        if (attempts.isEmpty()) {
            return this;
        }
        int at = lifts.indexOf(lift);
        LiftForm then = form(lift).after(attempts);
        double variance = covariance.getEntry(at, at);
        double moved = then.mean() - mean.getEntry(at);
        RealVector slope = covariance.getColumnVector(at).mapDivide(variance);
        RealMatrix narrowed = slope.outerProduct(slope).scalarMultiply(variance - then.variance());
        return new DayStrength(lifts, mean.add(slope.mapMultiply(moved)), covariance.subtract(narrowed));
    }

    /** Days drawn from it. */
    Days days() {
        return new Days(mean, new RectangularCholeskyDecomposition(covariance, AS_GOOD_AS_NOTHING).getRootMatrix());
    }

    /** @param root a root of the covariance */
    record Days(RealVector mean, RealMatrix root) {

        /** The logarithm of each lift's max on one day. */
        double[] next(RandomGenerator random) {
            double[] normal = new double[root.getColumnDimension()];
            for (int i = 0; i < normal.length; i++) {
                normal[i] = random.nextGaussian();
            }
            return mean.add(root.operate(new ArrayRealVector(normal, false))).toArray();
        }
    }
}
