package dev.yarbel.web.book;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * How a lift's max went: what was believed after each session, the maxes that were set down, and today's working max.
 *
 * @param rows oldest first, the working max last
 */
record MaxTrend(List<Row> rows) {

    /**
     * One of them.
     *
     * @param kind ESTIMATE, WORKING, or what kind of max was set down
     * @param low the low end of an estimate's range, else null
     * @param high the high end of it, else null
     * @param sets how many sets told it; none for what was set down
     */
    record Row(String kind, LocalDate date, Mass max, Mass low, Mass high, int sets) {

        /** The day as a figure to draw by. */
        public long day() {
            return date.toEpochDay();
        }

        public boolean isEstimate() {
            return kind.equals("ESTIMATE");
        }

        /** A figure to draw by, in the lifter's unit. */
        public String figure(Mass mass, MassUnit unit) {
            return mass == null ? null : mass.figure(unit, 2);
        }
    }

    /** None where fewer than two sessions told anything. */
    static MaxTrend of(LiftRecord lift, LocalDate today) {
        List<Row> rows = new ArrayList<>();
        lift.estimate().map(MaxEstimate::movements).orElse(List.of()).stream()
                .map(moved -> new Row(
                        "ESTIMATE",
                        moved.date(),
                        moved.after(),
                        moved.low(),
                        moved.high(),
                        moved.contributions().size()))
                .forEach(rows::add);
        if (rows.size() < 2) {
            return new MaxTrend(List.of());
        }
        LocalDate from = rows.get(0).date();
        lift.maxes().stream()
                .filter(max -> max.kind() != RecordedMax.Kind.GOAL && !max.on().isBefore(from))
                .map(max -> new Row(max.kind().name(), max.on(), max.max(lift.curve()), null, null, 0))
                .forEach(rows::add);
        rows.sort(Comparator.comparing(Row::date));
        lift.workingMax().ifPresent(max -> rows.add(new Row("WORKING", today, max, null, null, 0)));
        return new MaxTrend(List.copyOf(rows));
    }
}
