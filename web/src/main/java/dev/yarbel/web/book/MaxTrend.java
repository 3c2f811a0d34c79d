package dev.yarbel.web.book;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * How a lift's max went: what was believed after each session, the maxes that were set down, and the working max in
 * steps.
 *
 * @param rows oldest first, but for the working max, whose steps come last, from the first day on to today
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

    /**
     * None where fewer than two sessions told anything.
     *
     * @param steps of the working max, oldest first
     */
    static MaxTrend of(LiftRecord lift, List<Ledger.WorkingMaxStep> steps, LocalDate today, ZoneId zone) {
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
        lift.workingMax().ifPresent(max -> rows.addAll(workingMax(max, steps, from, today, zone)));
        return new MaxTrend(List.copyOf(rows));
    }

    /** A working max that nobody moved was what it is today; of a day's steps the last one counts. */
    private static List<Row> workingMax(
            Mass now, List<Ledger.WorkingMaxStep> steps, LocalDate from, LocalDate today, ZoneId zone) {
        SortedMap<LocalDate, Mass> byDay = new TreeMap<>();
        (steps.isEmpty() ? Optional.of(now) : steps.get(0).before()).ifPresent(max -> byDay.put(from, max));
        for (Ledger.WorkingMaxStep step : steps) {
            LocalDate on = LocalDate.ofInstant(step.at(), zone);
            byDay.put(on.isBefore(from) ? from : on, step.after());
        }
        byDay.put(today, now);
        return byDay.entrySet().stream()
                .map(day -> new Row("WORKING", day.getKey(), day.getValue(), null, null, 0))
                .toList();
    }
}
