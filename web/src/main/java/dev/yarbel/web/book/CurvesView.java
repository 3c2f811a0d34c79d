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

    /**
     * One curve.
     *
     * @param year of the formula's publication, else null
     * @param used how many of the lifter's lifts hang on it
     * @param estimates for each lift
     * @param path its points above or below the default, for an SVG 560 wide and 240 high
     * @param labelY where its name stands at the right end
     */
    record Row(
            RepCurve curve,
            Integer year,
            int used,
            List<Percent> shares,
            List<Optional<MaxEstimate>> estimates,
            String path,
            int labelY) {

        Row labelledAt(int y) {
            return new Row(curve, year, used, shares, estimates, path, y);
        }

        public String key() {
            return curve.key();
        }

        /** The code of its name in the bundle. */
        public String name() {
            return LedgerLine.curveName(curve);
        }
    }

    static CurvesView of(LifterRecord standing, Function<RepCurve, Map<Lift, Optional<MaxEstimate>>> by) {
        List<RepCurve> curves = new ArrayList<>();
        curves.add(RepCurve.DEFAULT);
        standing.lifts().stream()
                .map(LiftRecord::curve)
                .filter(curve -> curve.formula().isEmpty() && !curves.contains(curve))
                .distinct()
                .forEach(curves::add);
        curves.addAll(List.of(RepFormula.values()));
        List<Row> rows = curves.stream()
                .map(curve -> row(curve, standing, List.copyOf(by.apply(curve).values())))
                .toList();
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

    private static Row row(RepCurve curve, LifterRecord standing, List<Optional<MaxEstimate>> estimates) {
        StringBuilder path = new StringBuilder();
        for (int r = 1; r <= MOST_REPS; r++) {
            path.append(r == 1 ? "M" : "L")
                    .append(LEFT + STEP * (r - 1))
                    .append(' ')
                    .append(y(curve, r));
        }
        return new Row(
                curve,
                curve.formula().map(RepFormula::year).orElse(null),
                (int) standing.lifts().stream()
                        .filter(lift -> lift.curve().equals(curve))
                        .count(),
                REPS.stream().map(r -> curve.share(RepsInAll.toTheLimit(r))).toList(),
                estimates,
                path.toString(),
                y(curve, MOST_REPS));
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
        Map<RepCurve, Integer> places = new HashMap<>();
        int free = 0;
        for (Row row :
                rows.stream().sorted(Comparator.comparingInt(Row::labelY)).toList()) {
            int y = Math.max(row.labelY(), free);
            places.put(row.curve(), y);
            free = y + LINE;
        }
        return rows.stream().map(row -> row.labelledAt(places.get(row.curve()))).toList();
    }
}
