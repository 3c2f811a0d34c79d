package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Rep curves side by side, for one lifter.
 *
 * @param reps the columns
 * @param lifts the lifts whose estimates are compared
 * @param apart how far the published formulas lie apart in each column
 * @param closest the number of repetitions, of two and more, at which they lie closest
 */
record CurvesView(List<Integer> reps, List<Lift> lifts, List<Row> rows, List<Percent> apart, int closest) {

    private static final List<Integer> REPS = List.of(1, 2, 3, 4, 5, 6, 7, 8, 10, 12);
    private static final int MOST_REPS = 12;
    private static final int LEFT = 40;
    private static final int STEP = 36;
    private static final int MIDDLE = 120;
    private static final int POINT = 13;
    private static final int LINE = 14;
    private static final int HEIGHT = 240;

    /** How far the formulas lie apart where they lie closest, and at the most repetitions shown. */
    public Percent leastApart() {
        return apart(closest);
    }

    public Percent atMostReps() {
        return apart(MOST_REPS);
    }

    /** What stands for curves that are learnt, in forms and in the ledger. */
    static final String LEARNT = "learnt";

    /** The code of a decision about curves. */
    static String key(Optional<RepCurve> decided) {
        return decided.map(RepCurve::key).orElse(LEARNT);
    }

    /**
     * Reads what {@link #key} writes.
     *
     * @throws IllegalArgumentException when there is no such curve
     */
    static Optional<RepCurve> decided(String key) {
        return key.equals(LEARNT) ? Optional.empty() : Optional.of(RepCurve.parse(key));
    }

    /**
     * One curve, or one decision about all of them.
     *
     * @param key what a coach chooses it by; null where it is only shown
     * @param lift the lift it was learnt in, or null
     * @param year of the formula's publication, else null
     * @param used how many of the lifter's lifts hang on it
     * @param shares in each column; none where each lift has its own
     * @param estimates for each lift; none where it is only shown
     * @param path its points above or below the default, for an SVG 560 wide and 240 high; null where each lift has its own
     * @param labelY where its name stands at the right end
     */
    record Row(
            String key,
            Lift lift,
            Integer year,
            int used,
            List<Percent> shares,
            List<Optional<MaxEstimate>> estimates,
            String path,
            int labelY) {

        Row labelledAt(int y) {
            return new Row(key, lift, year, used, shares, estimates, path, y);
        }

        /** The code of its name in the bundle. */
        public String name() {
            return LedgerLine.curveName(key);
        }
    }

    /**
     * @param by the estimates when all lifts hang on a curve, or each on its own
     */
    static CurvesView of(LifterRecord standing, Function<Optional<RepCurve>, Map<Lift, Optional<MaxEstimate>>> by) {
        List<Optional<RepCurve>> decisions = new ArrayList<>();
        decisions.add(Optional.empty());
        decisions.add(Optional.of(RepCurve.DEFAULT));
        standing.lifts().stream()
                .filter(lift -> lift.learnt().decided())
                .map(lift -> Optional.of(lift.curve()))
                .filter(curve -> curve.get().formula().isEmpty() && !decisions.contains(curve))
                .distinct()
                .forEach(decisions::add);
        for (RepFormula formula : RepFormula.values()) {
            decisions.add(Optional.of(formula));
        }
        List<Row> rows = new ArrayList<>();
        for (Optional<RepCurve> decision : decisions) {
            rows.add(row(decision, standing, List.copyOf(by.apply(decision).values())));
            if (decision.isEmpty()) {
                standing.lifts().stream()
                        .filter(lift ->
                                !lift.learnt().decided() && lift.estimate().isPresent())
                        .map(CurvesView::learnt)
                        .forEach(rows::add);
            }
        }
        return new CurvesView(
                REPS,
                standing.lifts().stream().map(LiftRecord::lift).toList(),
                apartLabels(rows),
                REPS.stream().map(CurvesView::apart).toList(),
                RepFormula.closest(MOST_REPS));
    }

    private static Percent apart(int reps) {
        return RepFormula.apart(RepsInAll.toTheLimit(reps));
    }

    private static Row learnt(LiftRecord lift) {
        RepCurve curve = lift.curve();
        return new Row(null, lift.lift(), null, 0, shares(curve), List.of(), path(curve), y(curve, MOST_REPS));
    }

    private static Row row(Optional<RepCurve> decision, LifterRecord standing, List<Optional<MaxEstimate>> estimates) {
        return new Row(
                key(decision),
                null,
                decision.flatMap(RepCurve::formula).map(RepFormula::year).orElse(null),
                (int) standing.lifts().stream()
                        .filter(lift -> decision.map(lift.curve()::equals).orElse(true)
                                && lift.learnt().decided() == decision.isPresent())
                        .count(),
                decision.map(CurvesView::shares).orElse(List.of()),
                estimates,
                decision.map(CurvesView::path).orElse(null),
                decision.map(curve -> y(curve, MOST_REPS)).orElse(0));
    }

    private static List<Percent> shares(RepCurve curve) {
        return REPS.stream().map(r -> curve.share(RepsInAll.toTheLimit(r))).toList();
    }

    private static String path(RepCurve curve) {
        StringBuilder path = new StringBuilder();
        for (int r = 1; r <= MOST_REPS; r++) {
            path.append(r == 1 ? "M" : "L")
                    .append(LEFT + STEP * (r - 1))
                    .append(' ')
                    .append(y(curve, r));
        }
        return path.toString();
    }

    /** Above the middle where the curve has more of the max left than the default has. */
    private static int y(RepCurve curve, int reps) {
        RepsInAll inAll = RepsInAll.toTheLimit(reps);
        double above =
                curve.share(inAll).minus(RepCurve.DEFAULT.share(inAll)).figure().doubleValue();
        return (int) Math.max(0, Math.min(HEIGHT, Math.round(MIDDLE - POINT * above)));
    }

    /** Names at the right end keep clear of each other, from the top down. */
    private static List<Row> apartLabels(List<Row> rows) {
        Map<Row, Integer> places = new HashMap<>();
        int free = 0;
        for (Row row : rows.stream()
                .filter(one -> one.path() != null)
                .sorted(Comparator.comparingInt(Row::labelY))
                .toList()) {
            int y = Math.max(row.labelY(), free);
            places.put(row, y);
            free = y + LINE;
        }
        return rows.stream()
                .map(row -> row.labelledAt(places.getOrDefault(row, 0)))
                .toList();
    }
}
